import type { Shape, Swatch } from "../api/api.gen";

/** A colour with a share of black in it, as thread looks beside its cloth. */
export function darker(ground: string | undefined, share: number): string {
  const [, r, g, b] = /^#(..)(..)(..)$/.exec(ground ?? "") ?? ["", "80", "80", "80"];
  const part = (hex: string) =>
    Math.round(Number.parseInt(hex, 16) * (1 - share))
      .toString(16)
      .padStart(2, "0");
  return `#${part(r as string)}${part(g as string)}${part(b as string)}`;
}

/** The thread a shape is sewn with: its cloth's colour, for a line two shades darker. */
export const threadOf = (shape: { line?: boolean }, swatch: Swatch | undefined) =>
  darker(swatch?.ground, shape.line ? 0.45 : 0.22);

/** How each stitch is drawn along an edge: its width and its dashes, in millimetres. */
const stitches: Record<string, { width: number; dash: string }> = {
  "satin stitch": { width: 3, dash: "0.7 0.35" },
  "satin line": { width: 2, dash: "0.7 0.3" },
  "blanket stitch": { width: 3.4, dash: "0.6 2.6" },
  "blanket stitch by hand": { width: 3.4, dash: "0.6 2.6" },
  "straight stitch": { width: 0.8, dash: "2 1.2" },
};

/** A shape of its cloth on a piece, with what is sewn of its edge. */
export function LaidOn({
  shape,
  cloth,
  swatch,
  dimmed,
}: {
  shape: Shape;
  cloth: string;
  swatch?: Swatch;
  dimmed: boolean;
}) {
  const stitch = stitches[shape.stitch];
  return (
    <g className="laid-on" opacity={dimmed ? 0.25 : 1}>
      {!shape.line && <path className="cell" d={shape.path} fill={`url(#${cloth})`} />}
      {stitch && shape.sewn && (
        <path
          d={shape.sewn}
          fill="none"
          stroke={threadOf(shape, swatch)}
          strokeWidth={stitch.width}
          strokeDasharray={stitch.dash}
        />
      )}
    </g>
  );
}
