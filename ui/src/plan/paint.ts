import type { About, Cell } from "../api/api.gen";
import { get, type Json, put } from "./path";

/** A face as the plan file writes it. */
export type FaceDoc = { [key: string]: Json };

const list = (v: Json | undefined): Json[] => (Array.isArray(v) ? v : []);
const record = (v: Json | undefined): FaceDoc => (v !== null && typeof v === "object" && !Array.isArray(v) ? v : {});

/** A cell of a face, and what it is about. */
export interface Painted {
  cell: Cell;
  about: About;
}

/**
 * The face with one of its parts in another cloth, by where its cloth is decided. What is cut alike
 * changes alike, patches of a plain grid one by one: mixed ones are kept when the rest is mixed
 * again, those in turn are laid by hand from now on. `cells` are all cells of the face. Null where
 * the part has no cloth of its own to change.
 */
export function painted(
  face: FaceDoc,
  { cell, about }: Painted,
  cells: readonly Painted[],
  cloth: string,
): FaceDoc | null {
  if (!about.paints) return null;
  const cut = about.paints.lastIndexOf("/");
  const [owner, key] = [about.paints.slice(0, cut), about.paints.slice(cut + 1)];
  const at = record((get(face, owner) ?? {}) as Json);
  const among = cells.filter((c) => c.about.part === about.part);
  const own = among.map((c) => ({ ...c, cell: lifted(c.cell, among) }));
  const here = lifted(cell, among);
  const next =
    key === "order"
      ? paintedPatch(at, here, own, cloth)
      : key === "cloths"
        ? paintedBlock(at, here, cloth)
        : { ...at, [key]: cloth };
  return put(face, owner, next);
}

/** A cell with its row counted from the first of some. */
function lifted(cell: Cell, among: readonly Painted[]): Cell {
  const first = Math.min(...among.map((c) => c.cell.row || Number.POSITIVE_INFINITY));
  return cell.row && Number.isFinite(first) ? { ...cell, row: cell.row - first + 1 } : cell;
}

/** Patches of a block alike in all blocks, or, laid by hand, the first cloth of this one. */
function paintedBlock(face: FaceDoc, cell: Cell, cloth: string): FaceDoc {
  const rows = face.order;
  const own = Array.isArray(rows) ? list(list(rows)[(cell.row ?? 1) - 1])[(cell.column ?? 1) - 1] : undefined;
  if (Array.isArray(rows) && own === cell.cloth) return { ...face, order: withPatch(rows as string[][], cell, cloth) };
  return replaced(face, cell.cloth, cloth);
}

const replaced = (face: FaceDoc, from: string, to: string): FaceDoc => ({
  ...face,
  cloths: list(face.cloths).map((c) => (c === from ? to : c)),
});

function paintedPatch(face: FaceDoc, cell: Cell, cells: readonly Painted[], cloth: string): FaceDoc {
  const cloths = list(face.cloths).includes(cloth) ? face.cloths : [...list(face.cloths), cloth];
  if (face.order === "scrap" || face.order === "on-ground") {
    const others = list(face.keep).filter((k) => record(k).row !== cell.row || record(k).column !== cell.column);
    return {
      ...face,
      keep: [...others, { row: cell.row ?? 1, column: cell.column ?? 1, cloth }],
      cloths: cloths as Json,
    };
  }
  const rows = Array.isArray(face.order)
    ? (face.order as string[][])
    : rowsOf(cells.filter((c) => c.about.role === "patch").map((c) => c.cell));
  return { ...face, order: withPatch(rows, cell, cloth) };
}

const withPatch = (rows: string[][], cell: Cell, cloth: string) =>
  rows.map((row, r) =>
    r === (cell.row ?? 0) - 1 ? row.map((c, k) => (k === (cell.column ?? 0) - 1 ? cloth : c)) : row,
  );

/** The cloths of a grid as they lie, rows from the top; of a block the cloth of its first patch. */
export function rowsOf(cells: readonly { row?: number; column?: number; cloth: string }[]): string[][] {
  const rows: string[][] = [];
  for (const cell of cells) {
    if (!cell.row || !cell.column) continue;
    rows[cell.row - 1] ??= [];
    const row = rows[cell.row - 1] as string[];
    row[cell.column - 1] ??= cell.cloth;
  }
  return rows;
}

/** The face with two cloths in each other's place, wherever they stand. */
export function swapped(face: FaceDoc, a: string, b: string): FaceDoc {
  const swap = (c: Json): Json => (c === a ? b : c === b ? a : c);
  const walk = (v: Json, key: string): Json => {
    if (typeof v === "string") return clothKeys.has(key) ? swap(v) : v;
    if (Array.isArray(v)) return v.map((x) => walk(x, key));
    if (v === null || typeof v !== "object") return v;
    return Object.fromEntries(Object.entries(v).map(([k, x]) => [k, k === "colourways" ? x : walk(x, k)]));
  };
  return walk(face, "") as FaceDoc;
}

/** The keys of a face under which cloths stand by their letters. */
const clothKeys = new Set(["cloth", "cloths", "post_cloth", "corner_cloth", "order", "ground", "show", "backed"]);
