/** A JSON value. */
export type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

/** Whether a path is another one, or lies below it. */
export const within = (path: string, whole: string) => path === whole || path.startsWith(`${whole}/`);

const split = (path: string) => path.split("/").slice(1);

/** The value at a path such as /cover/seam; undefined where there is none. */
export function get(doc: unknown, path: string): unknown {
  let at: unknown = doc;
  for (const key of split(path)) {
    if (at === null || typeof at !== "object") return undefined;
    at = (at as Record<string, unknown>)[key];
  }
  return at;
}

/** A copy of the document with the value at the path; undefined takes it out. */
export function put<T>(doc: T, path: string, value: unknown): T {
  return place(doc, split(path), value) as T;
}

function place(at: unknown, keys: string[], value: unknown): unknown {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  if (Array.isArray(at)) {
    const list = [...at];
    const index = Number(key);
    if (rest.length === 0 && value === undefined) list.splice(index, 1);
    else list[index] = place(at[index], rest, value);
    return list;
  }
  const object = { ...(at as Record<string, unknown> | undefined) };
  const next = place(object[key], rest, value);
  if (next === undefined) delete object[key];
  else object[key] = next;
  return object;
}

/** The paths at which two documents differ, with both values. */
export function differences(a: unknown, b: unknown, path = ""): { path: string; a: unknown; b: unknown }[] {
  if (a === b) return [];
  if (isObject(a) && isObject(b)) {
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
      differences(a[key], b[key], `${path}/${key}`),
    );
  }
  return JSON.stringify(a) === JSON.stringify(b) ? [] : [{ path, a, b }];
}

function isObject(value: unknown): value is Record<string, unknown> {
  return value !== null && typeof value === "object";
}
