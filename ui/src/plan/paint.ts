import type { Cell } from "../api/api.gen";
import type { Json } from "./path";

/** A face as the plan file writes it. */
export type FaceDoc = { [key: string]: Json };

const list = (v: Json | undefined): Json[] => (Array.isArray(v) ? v : []);
const record = (v: Json | undefined): FaceDoc => (v !== null && typeof v === "object" && !Array.isArray(v) ? v : {});

/**
 * The face with one of its parts in another cloth. `part` is the part's name in the list of
 * cuts, `cells` are all cells of the face. What is cut alike changes alike, patches of a plain
 * grid one by one: mixed ones are kept when the rest is mixed again, those in turn are laid by
 * hand from now on. Null where the part has no cloth of its own to change.
 */
export function painted(
  face: FaceDoc,
  cell: Cell,
  part: string,
  cells: readonly { cell: Cell; part: string }[],
  cloth: string,
): FaceDoc | null {
  const stacked = /^part\.(\d+)\.(.*)$/.exec(part);
  if (stacked) return paintedPart(face, cell, Number(stacked[1]), String(stacked[2]), cells, cloth);
  const border = /^border\.(\d+)\.(side|run|left|right|top|bottom|corner)/.exec(part);
  if (border) return paintedBorder(face, Number(border[1]) - 1, String(border[2]), cell, cloth);
  const [what, which] = part.split(".");
  switch (what) {
    case "panel":
    case "gathered":
    case "pocket":
    case "side":
    case "corner":
      return { ...face, cloth };
    case "ground":
      return { ...face, ground: cloth };
    case "window":
    case "half-window":
      return { ...face, show: cloth };
    case "short-sash":
    case "long-sash":
      return { ...face, sash: { ...record(face.sash), cloth } };
    case "post":
      return { ...face, sash: { ...record(face.sash), post_cloth: cloth } };
    case "strip":
      return { ...face, strips: list(face.strips).map((s, i) => (i === Number(which) - 1 ? { ...record(s), cloth } : s)) };
    case "set":
      return replaced(face, cell.cloth, cloth);
    case "block":
      return paintedBlock(face, cell, cloth);
    case "patch":
      return paintedPatch(face, cell, cells, cloth);
  }
  return null;
}

function paintedPart(face: FaceDoc, cell: Cell, n: number, part: string, cells: readonly { cell: Cell; part: string }[], cloth: string) {
  const own = cells.filter((c) => c.part.startsWith(`part.${n}.`));
  const first = Math.min(...own.map((c) => c.cell.row ?? Number.POSITIVE_INFINITY));
  const lifted = (c: Cell): Cell => (c.row ? { ...c, row: c.row - first + 1 } : c);
  const parts = list(face.parts);
  const at = record(parts[n - 1]);
  const inner = own.map((c) => ({ cell: lifted(c.cell), part: c.part.replace(/^part\.\d+\./, "") }));
  const next = painted(record(at.face), lifted(cell), part, inner, cloth);
  return next && { ...face, parts: parts.map((p, i) => (i === n - 1 ? { ...at, face: next } : p)) };
}

function paintedBorder(face: FaceDoc, i: number, where: string, cell: Cell, cloth: string): FaceDoc {
  const change = (b: FaceDoc): FaceDoc => {
    if (where === "corner") return { ...b, corner_cloth: cloth };
    if (!b.pieced) return { ...b, cloth };
    const pieced = record(b.pieced);
    return { ...b, pieced: { ...pieced, cloths: list(pieced.cloths).map((c) => (c === cell.cloth ? cloth : c)) } };
  };
  return { ...face, borders: list(face.borders).map((b, k) => (k === i ? change(record(b)) : b)) };
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

function paintedPatch(face: FaceDoc, cell: Cell, cells: readonly { cell: Cell; part: string }[], cloth: string): FaceDoc {
  const cloths = list(face.cloths).includes(cloth) ? face.cloths : [...list(face.cloths), cloth];
  if (face.order === "scrap") {
    const others = list(face.keep).filter((k) => record(k).row !== cell.row || record(k).column !== cell.column);
    return { ...face, keep: [...others, { row: cell.row ?? 1, column: cell.column ?? 1, cloth }], cloths: cloths as Json };
  }
  const rows = Array.isArray(face.order)
    ? (face.order as string[][])
    : rowsOf(cells.filter((c) => c.part.startsWith("patch.")).map((c) => c.cell));
  return { ...face, order: withPatch(rows, cell, cloth) };
}

const withPatch = (rows: string[][], cell: Cell, cloth: string) =>
  rows.map((row, r) => (r === (cell.row ?? 0) - 1 ? row.map((c, k) => (k === (cell.column ?? 0) - 1 ? cloth : c)) : row));

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
