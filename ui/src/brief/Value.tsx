import { ApiError } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { decided, useOf, useSession } from "../plan/context";
import { get, put } from "../plan/path";
import { dressed } from "../words/fractions";
import { Field } from "./Field";

export type Kind = "length" | "count" | "percent" | "text";

interface Props {
  /** Where the value stands in the plan. */
  path: string;
  /** What the value is, for those who do not see the sentence. */
  label: string;
  kind?: Kind;
  /** What is shown, when it is not the value itself, and the typed text that it stands for; any text where absent. */
  shown?: string;
  shownFor?: string;
  /** Further paths of values that are the same. */
  also?: string[];
  /** Something else in the plan has to follow a change of the value: it is asked for. */
  follows?: boolean;
  /** It stands beside the sheet, where steps and layouts are not shown. */
  sheet?: boolean;
}

/** What a typed text stands for in the plan: counts are numbers there. */
export function meant(kind: Kind, text: string): unknown {
  const trimmed = text.trim();
  if (kind === "length" || kind === "text") return trimmed;
  const number = Number(trimmed.replace(",", ".").replace("−", "-"));
  return trimmed !== "" && Number.isFinite(number) ? number : trimmed;
}

/** What a refusal says of the value at a path. */
export function said(refusal: ApiError | null, path: string): string | null {
  if (!refusal) return null;
  const mine = refusal.problem.errors?.find((e) => e.path === path || e.path.startsWith(`${path}/`));
  return mine?.text ?? refusal.problem.detail;
}

/** A value of the plan, edited where it stands in the sentence. */
export function Value({ path, label, kind = "length", shown, shownFor, also = [], follows, sheet }: Props) {
  const session = useSession();
  const kept = useOf((s) => decided(s, path));
  const units = useOf((s) => String(decided(s, "/units") ?? "in"));
  const settled = useOf((s) => get(s.reckoning.settled, path));
  const unitsThen = useOf((s) => get(s.reckoning.settled, "/units"));
  const wrong = useOf((s) => s.reckoning.findings.some((f) => f.level === "stop" && f.about === path));
  const text = kept === undefined ? (kind === "text" ? "" : "0") : String(kept);
  const written = (to: Plan, next: string) => [path, ...also].reduce((p, at) => put(p, at, meant(kind, next)), to);
  // What is settled is in the unit that was settled with it: while that changes, the plan has the next one already.
  const settledIn = settled === undefined ? units : String(unitsThen ?? units);
  const dressedText =
    kind === "percent" ? `${text}%` : kind === "length" ? dressed(String(settled ?? text), settledIn) : text;
  return (
    <Field
      label={label}
      text={text}
      shown={shown !== undefined && (shownFor === undefined || shownFor === text) ? shown : dressedText}
      numeric={kind === "count" || kind === "percent"}
      path={path}
      reads={kind === "length" ? "length" : undefined}
      wrong={wrong}
      judge={async (next, meant) => {
        const changed = written(session.current().plan, next);
        try {
          return said(await session.preview(changed, { typed: follows ? path : "", sheet, meant }), path);
        } catch (error) {
          return said(error instanceof ApiError ? error : null, path);
        }
      }}
      keep={(next) =>
        follows
          ? session.follow((now) => written(now, next), path, `${label}: ${next}`)
          : session.change(written(session.current().plan, next), `${label}: ${next}`)
      }
      drop={() => void session.settle()}
    />
  );
}
