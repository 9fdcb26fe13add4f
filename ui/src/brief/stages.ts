import type { Finding, Section } from "../api/api.gen";

/** How far a pattern of the path leads to it, in names; -1 where it does not. A star stands for any one name. */
function leads(pattern: string, path: string): number {
  const [want, have] = [pattern.split("/"), path.split("/")];
  return want.every((name, i) => name === have[i] || (name === "*" && have[i] !== undefined)) ? want.length : -1;
}

/** The stage of a brief that a finding is about: the one whose path leads farthest; what fits nowhere stands at the first. */
export function stageOf(finding: Finding, stages: readonly Section[]): string | undefined {
  const far = (stage: Section) => Math.max(...stage.about.map((pattern) => leads(pattern, finding.about)));
  const [first] = stages;
  return stages.reduce((best, stage) => (best && far(stage) > far(best) ? stage : best), first)?.name;
}
