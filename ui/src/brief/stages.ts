import type { Finding } from "../api/api.gen";

/** The stages of a brief, in the trade's order. */
export const stages = ["Measure", "Cover", "Front", "Pieces", "Layers", "Back", "Edges", "Fittings", "Cloth"] as const;

export type StageName = (typeof stages)[number];

const places: [RegExp, StageName][] = [
  [/^\/(object|title|copies)/, "Measure"],
  [/^\/cover/, "Cover"],
  [/^\/pieces\/[^/]+\/(layers|quilting|squaring|take_up|absorb)/, "Layers"],
  [/^\/(back|measured|pieces\/back)/, "Back"],
  [/^\/pieces/, "Front"],
  [/^\/(edges|habits)/, "Edges"],
  [/^\/fittings/, "Fittings"],
  [/^\/cloths/, "Cloth"],
];

/** The stage that a finding is about; what fits nowhere stands at the first. */
export function stageOf(finding: Finding, cushion = true): StageName {
  const stage = places.find(([path]) => path.test(finding.about))?.[1] ?? "Measure";
  if (cushion) return stage;
  return ({ Front: "Pieces", Back: "Cover" }[stage as string] as StageName | undefined) ?? stage;
}
