import { ApiError, sentence } from "./client";

/** The first thing a refusal names, and where. */
export function refusalAt(error: unknown): { path: string; text: string } {
  const first = error instanceof ApiError ? error.problem.errors?.[0] : undefined;
  return first ? { path: first.path, text: first.text } : { path: "", text: sentence(error) };
}
