import type { Piece, Reckoning, Spot } from "../api/api.gen";
import { type Box, extent } from "./PieceDrawing";

/** A piece where it stands on the sheet. */
export interface Place {
  piece: Piece;
  /** Quarter turns, clockwise. */
  quarters: number;
  /** What is drawn of it, in the frame of the sheet. */
  box: Box;
  /** Brings the piece's own frame to its place. */
  transform: string;
  /** The first of several alike: it carries what is written. */
  first: boolean;
}

/** Room kept free round every piece for what is written there. */
export interface Room {
  above: number;
  below: number;
  beside: number;
}

/** Where the extent of a turned piece begins, and how large it is. */
export function turned(box: Box, quarters: number): Box {
  const [right, bottom] = [box.x + box.width, box.y + box.height];
  switch (quarters % 4) {
    case 1:
      return { x: -bottom, y: box.x, width: box.height, height: box.width };
    case 2:
      return { x: -right, y: -bottom, width: box.width, height: box.height };
    case 3:
      return { x: box.y, y: -right, width: box.height, height: box.width };
    default:
      return box;
  }
}

/** A vector of the sheet in the frame of a piece that is turned. */
export function unturned(x: number, y: number, quarters: number): { x: number; y: number } {
  switch (quarters % 4) {
    case 1:
      return { x: y, y: -x };
    case 2:
      return { x: -x, y: -y };
    case 3:
      return { x: -y, y: x };
    default:
      return { x, y };
  }
}

const sum = (list: number[]) => list.reduce((a, b) => a + b, 0);

/** Lays the pieces as they join: rows of columns, each a stack; all of them centred beside each other. */
export function laidOut(
  net: Spot[][][],
  pieces: Piece[],
  room: Room,
): { places: Place[]; width: number; height: number } {
  const known = new Map(pieces.map((p) => [p.name, p]));
  const seen = new Set<string>();
  const rows = net.map((row) =>
    row.map((column) => column.flatMap((spot) => sized(spot, known.get(spot.piece)))).filter((c) => c.length > 0),
  );
  const wide = (column: Sized[]) => Math.max(...column.map((s) => s.size.width)) + room.beside;
  const high = (column: Sized[]) => sum(column.map((s) => s.size.height + room.above + room.below));
  const width = Math.max(0, ...rows.map((row) => sum(row.map(wide))));
  const places: Place[] = [];
  let top = 0;
  for (const row of rows) {
    const tall = Math.max(0, ...row.map(high));
    let left = (width - sum(row.map(wide))) / 2;
    for (const column of row) {
      let y = top + (tall - high(column)) / 2;
      for (const { piece, quarters, size } of column) {
        const x = left + room.beside + (wide(column) - room.beside - size.width) / 2;
        y += room.above;
        places.push({
          piece,
          quarters,
          box: { x, y, width: size.width, height: size.height },
          transform: `translate(${x - size.x} ${y - size.y}) rotate(${90 * quarters})`,
          first: !seen.has(piece.name),
        });
        seen.add(piece.name);
        y += size.height + room.below;
      }
      left += wide(column);
    }
    top += tall;
  }
  return { places, width, height: top };
}

interface Sized {
  piece: Piece;
  quarters: number;
  size: Box;
}

function sized(spot: Spot, piece: Piece | undefined): Sized[] {
  return piece ? [{ piece, quarters: spot.quarters, size: turned(extent(piece), spot.quarters) }] : [];
}

/** How large writing on the sheet is on screen, in pixels. */
const written = 15;

/** How much one scale of the sheet differs from the next. */
const step = 1.04;

/**
 * The pieces in their places on a screen of so many pixels, what of their frame is seen, and how large its writing is
 * there. The scale goes by steps: while a value is typed, the pieces grow and shrink and what is written stays as it is.
 */
export function fitted({ net, pieces }: Pick<Reckoning, "net" | "pieces">, width: number, height: number) {
  let text = 0;
  let sheet = laidOut(net, pieces, { above: 0, below: 0, beside: 0 });
  // The room for writing depends on the scale, and the scale on the room: a few rounds settle both.
  for (let round = 0; round < 6; round++) {
    const scale = Math.max(sheet.width / (width - 14), sheet.height / (height - 8));
    text = Math.max(text, written * step ** Math.ceil(Math.log(scale) / Math.log(step)));
    sheet = laidOut(net, pieces, { above: text * 1.7, below: text * 1.9, beside: text * 2.1 });
  }
  const wide = Math.max(sheet.width, (width * text) / written);
  const high = Math.max(sheet.height, (height * text) / written);
  const view = { x: (sheet.width - wide) / 2, y: (sheet.height - high) / 2, width: wide, height: high };
  return { places: sheet.places, view, text };
}
