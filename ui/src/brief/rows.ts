import type { Plan } from "../api/plan.gen";
import { get, put } from "../plan/path";

const face = "/pieces/front/face";

/**
 * Fits rows that were laid by hand to the number of patches: what is too much
 * falls away, what is missing repeats the pattern.
 */
export function refit(plan: Plan): Plan {
  const order = get(plan, `${face}/order`);
  const columns = get(plan, `${face}/columns`);
  const rows = get(plan, `${face}/rows`);
  if (!Array.isArray(order) || !possible(columns) || !possible(rows)) return plan;
  const repeat = <T>(list: T[], n: number): T[] => Array.from({ length: n }, (_, i) => list[i % list.length] as T);
  const laid = (order as string[][]).filter((row) => row.length > 0);
  if (laid.length === 0) return plan;
  return put(
    plan,
    `${face}/order`,
    repeat(laid, rows).map((row) => repeat(row, columns)),
  );
}

/** Counts the core will take; any other is left for it to refuse. */
const possible = (n: unknown): n is number => Number.isInteger(n) && (n as number) >= 1 && (n as number) <= 200;
