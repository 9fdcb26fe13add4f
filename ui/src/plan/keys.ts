import type { Border, Face, Fitting, Plan, Strip } from "../api/plan.gen";

/** A part of a plan that a maker adds: its key is made with it, and stays with it. */
interface Keyed {
  key?: string;
}

const letters = "abcdefghijklmnopqrstuvwxyz234567";

/** A key that no part has had. It begins with a letter, which numbers by place never do. */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(6));
  return Array.from(bytes, (b, i) => letters[b % (i === 0 ? 26 : 32)]).join("");
}

/** A list in which every part has a key of its own; itself where that is so. */
function listed<T extends Keyed>(list: T[] | undefined, taken: Set<string>, fresh: () => string): T[] | undefined {
  return each(list, (part) => {
    const own = part.key && !taken.has(part.key);
    let key = part.key ?? "";
    while (!own && (key === "" || taken.has(key))) key = fresh();
    taken.add(key);
    return own ? part : { ...part, key };
  });
}

/** A list with each of its parts changed; itself where none is. */
function each<T>(list: T[] | undefined, change: (one: T, i: number) => T): T[] | undefined {
  const next = list?.map(change);
  return next?.some((one, i) => one !== list?.[i]) ? next : list;
}

/** An object with some of its members changed; itself where none is. */
function having<T extends object>(object: T, members: Partial<T>): T {
  const changed = Object.entries(members).filter(([key, value]) => object[key as keyof T] !== value);
  return changed.length ? { ...object, ...Object.fromEntries(changed) } : object;
}

/** What holds a face with that changed; itself where it is not. */
const within = <T extends { face?: Face }>(part: T, change: (face: Face) => Face): T =>
  part.face ? having(part, { face: change(part.face) } as Partial<T>) : part;

function ofFace(face: Face, taken: Set<string>, fresh: () => string): Face {
  const own = having(face, {
    strips: listed<Strip>(face.strips, taken, fresh),
    borders: listed<Border>(face.borders, taken, fresh),
    applique: listed(face.applique, taken, fresh),
    colourways: listed(face.colourways, taken, fresh),
    parts: listed(face.parts, taken, fresh),
  });
  return having(own, { parts: each(own.parts, (part) => within(part, (inner) => ofFace(inner, taken, fresh))) });
}

/** A face with the keys of another one, part by part, where it has none. */
function like(face: Face, of: Face): Face {
  const as = <T extends Keyed>(list: T[] | undefined, other: Keyed[] | undefined) =>
    each(list, (part, i) => (part.key || !other?.[i]?.key ? part : { ...part, key: other[i].key }));
  const parts = as(face.parts, of.parts);
  return having(face, {
    strips: as(face.strips, of.strips),
    borders: as(face.borders, of.borders),
    applique: as(face.applique, of.applique),
    parts: each(parts, (part, i) => within(part, (inner) => like(inner, of.parts?.[i]?.face ?? {}))),
  });
}

/** Colourways are the same parts in other cloths: they have the keys of the parts they stand for. */
function withWays(face: Face, fresh: () => string): Face {
  return having(face, {
    colourways: each(face.colourways, (way) => within(way, (inner) => ofFace(like(inner, face), new Set(), fresh))),
    parts: each(face.parts, (part) => within(part, (inner) => withWays(inner, fresh))),
  });
}

/**
 * A plan in which every part has a key of its own: a part without one gets a new one, and so does a
 * copy beside the part it was made from. Itself where that is so.
 */
export function keyed(plan: Plan, make: () => string = newKey): Plan {
  let there = "";
  const fresh = (): string => {
    there ||= JSON.stringify(plan);
    const key = make();
    return there.includes(`"${key}"`) ? fresh() : key;
  };
  const pieces = Object.entries(plan.pieces ?? {}).map(([name, piece]) => {
    const face = piece.face && withWays(ofFace(piece.face, new Set(), fresh), fresh);
    return [name, face === piece.face ? piece : { ...piece, face }] as const;
  });
  const same = pieces.every(([name, piece]) => piece === plan.pieces?.[name]);
  return having(plan, {
    fittings: listed<Fitting>(plan.fittings, new Set(), fresh),
    pieces: same ? plan.pieces : Object.fromEntries(pieces),
  });
}
