import type { Plan } from "../api/plan.gen";
import { get, put } from "../plan/path";

/**
 * Fits what was decided patch by patch to the number of patches in a face: of rows that were laid
 * by hand what is too much falls away, and what is missing repeats the pattern; kept patches that
 * are no longer there are let go. On point every other row is one shorter.
 */
export const refit =
  (face: string) =>
  (plan: Plan): Plan => {
    const columns = get(plan, `${face}/columns`);
    const rows = get(plan, `${face}/rows`);
    if (!possible(columns) || !possible(rows)) return plan;
    const point = get(plan, `${face}/set`) === "on-point";
    const shape = Array.from({ length: point ? 2 * rows - 1 : rows }, (_, r) => columns - (point ? r % 2 : 0));
    return laid(kept(plan, face, shape), face, shape);
  };

function laid(plan: Plan, face: string, shape: number[]): Plan {
  const order = get(plan, `${face}/order`);
  if (!Array.isArray(order)) return plan;
  const given = (order as string[][]).filter((row) => row.length > 0);
  if (given.length === 0) return plan;
  const repeat = <T>(list: T[], n: number): T[] => Array.from({ length: n }, (_, i) => list[i % list.length] as T);
  return put(
    plan,
    `${face}/order`,
    shape.map((columns, r) => repeat(given[r % given.length] as string[], columns)),
  );
}

function kept(plan: Plan, face: string, shape: number[]): Plan {
  const keep = get(plan, `${face}/keep`);
  if (!Array.isArray(keep)) return plan;
  const left = (keep as { row: number; column: number }[]).filter((k) => k.column <= (shape[k.row - 1] ?? 0));
  return left.length === keep.length ? plan : put(plan, `${face}/keep`, left.length > 0 ? left : undefined);
}

/** Counts the core will take; any other is left for it to refuse. */
const possible = (n: unknown): n is number => Number.isInteger(n) && (n as number) >= 1 && (n as number) <= 200;
