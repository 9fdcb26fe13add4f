import type { Reckoning, Shape } from "../api/api.gen";

/** A shape as it stands in a plan. */
export interface ShapeDoc {
  key?: string;
  name?: string;
  shape: string;
  cloth?: string;
  width?: string | number;
  height?: string | number;
  at?: Record<string, unknown>;
  from?: string;
  turn?: number;
  flip?: boolean;
  edge?: string;
  twin?: string;
  late?: boolean;
}

/** Shapes that join others, with names that none of them has. */
export function renamed(shapes: ShapeDoc[], others: ShapeDoc[]): ShapeDoc[] {
  const taken = new Set(others.map((s) => s.name).filter(Boolean));
  return shapes.map((shape) => {
    if (!shape.name) return shape;
    let free = shape.name;
    for (let n = 2; taken.has(free); n++) free = `${shape.name} ${n}`;
    taken.add(free);
    return { ...shape, name: free };
  });
}

/** The cloth for each colour of a drawing: the one of that ground, else the cloths in turn. */
export function clothFor(fills: string[], cloths: Record<string, { swatch?: { ground?: string } }>) {
  const letters = Object.keys(cloths).filter((l) => /^[A-Z]$/.test(l));
  const given = new Map<string, string>();
  for (const fill of fills) {
    if (given.has(fill)) continue;
    const same = letters.find((l) => fill !== "" && cloths[l]?.swatch?.ground?.toLowerCase() === fill.toLowerCase());
    given.set(fill, same ?? letters[given.size % letters.length] ?? "A");
  }
  return (fill: string) => given.get(fill) ?? letters[0] ?? "A";
}

/** A place of an outline, in millimetres. */
export interface Corner {
  x: number;
  y: number;
}

const straight = /^M(-?[\d.]+) (-?[\d.]+)((?:L-?[\d.]+ -?[\d.]+)+)Z$/;

/** The corners of an outline of straight sides; null for any other. */
export function cornersOf(path: string): Corner[] | null {
  const match = straight.exec(path.trim());
  if (!match) return null;
  const rest = (match[3] as string).slice(1).split("L");
  return [`${match[1]} ${match[2]}`, ...rest].map((pair) => {
    const [x, y] = pair.split(" ").map(Number) as [number, number];
    return { x, y };
  });
}

const tidy = (n: number) => String(Math.round(n * 1000) / 1000);

/** The outline through corners. */
export const pathThrough = (corners: Corner[]) => `M${corners.map(({ x, y }) => `${tidy(x)} ${tidy(y)}`).join("L")}Z`;

/** Corners at the size a shape is laid at: its path need not be drawn in millimetres. */
export function trueSize(corners: Corner[], width: number, height: number): Corner[] {
  const [x1, y1] = [Math.min(...corners.map((c) => c.x)), Math.min(...corners.map((c) => c.y))];
  const [w, h] = [Math.max(...corners.map((c) => c.x)) - x1, Math.max(...corners.map((c) => c.y)) - y1];
  const scale = (size: number, of: number) => (of > 0 ? size / of : 1);
  return corners.map((c) => ({ x: (c.x - x1) * scale(width, w), y: (c.y - y1) * scale(height, h) }));
}

/** A shape as it lies on its face, by its path in the plan. */
export function laidAs(reckoning: Reckoning, about: string): Shape | undefined {
  return reckoning.pieces.flatMap((p) => p.shapes).find((s) => s.about === about && !s.twin);
}
