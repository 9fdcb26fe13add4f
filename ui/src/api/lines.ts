import { apart } from "./client";

/** Asks for an answer that is told line by line, each line JSON; throws as ask does. */
export async function askLines<T>(path: string, body: unknown, signal: AbortSignal, told: (line: T) => void) {
  const response = await apart("POST", path, body, signal);
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  let kept = "";
  for (;;) {
    const { value, done } = (await reader?.read()) ?? { value: undefined, done: true };
    kept += value ?? "";
    const lines = kept.split("\n");
    kept = lines.pop() ?? "";
    for (const line of lines) told(JSON.parse(line));
    if (done) return;
  }
}
