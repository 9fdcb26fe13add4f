/**
 * What came of the server, with whatever of it is as it was before in the objects that it was in: they keep their
 * identity, and what is drawn from them is not drawn again. Neither side is changed. It is asked at every key, of some
 * thousand values, and copies nothing that is new throughout.
 */
export function steady<T>(before: T, now: T): T {
  if (before === now || !isObject(before) || !isObject(now)) return now;
  if (Array.isArray(now)) return Array.isArray(before) ? (steadyList(before, now) as T) : now;
  return Array.isArray(before) ? now : (steadyParts(before, now) as T);
}

type Parts = Record<string, unknown>;

const isObject = (value: unknown): value is Parts => typeof value === "object" && value !== null;

function steadyParts(before: Parts, now: Parts): Parts {
  const keys = Object.keys(now);
  let out = now;
  let same = Object.keys(before).length === keys.length;
  for (const key of keys) {
    const part = steady(before[key], now[key]);
    if (part !== now[key]) {
      if (out === now) out = { ...now };
      out[key] = part;
    }
    same = same && part === before[key];
  }
  return same ? before : out;
}

function steadyList(before: unknown[], now: unknown[]): unknown[] {
  let out = now;
  let same = before.length === now.length;
  for (let i = 0; i < now.length; i++) {
    const part = steady(before[i], now[i]);
    if (part !== now[i]) {
      if (out === now) out = [...now];
      out[i] = part;
    }
    same = same && part === before[i];
  }
  return same ? before : out;
}
