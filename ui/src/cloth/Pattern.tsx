import { memo, type ReactElement } from "react";
import type { Swatch } from "../api/api.gen";

/** How a cloth is drawn when nobody said. */
export const plainSwatch: Required<Omit<Swatch, "photo">> = { motif: "plain", ground: "#d9cfba", ink: "#b5a98f" };

const withDefaults = (s?: Swatch) => ({
  motif: s?.motif || plainSwatch.motif,
  ground: s?.ground || plainSwatch.ground,
  ink: s?.ink || plainSwatch.ink,
});

/** The prints the app can draw, each a tile in millimetres of cloth. */
const motifs: Record<string, { size: number; draw: (ink: string) => ReactElement | null }> = {
  plain: { size: 4, draw: () => null },
  stripe: {
    size: 9,
    draw: (ink) => (
      <>
        <rect x="1" y="0" width="2.2" height="9" fill={ink} />
        <rect x="5.6" y="0" width="0.7" height="9" fill={ink} />
        <rect x="7.2" y="0" width="0.7" height="9" fill={ink} />
      </>
    ),
  },
  dot: {
    size: 11,
    draw: (ink) => (
      <>
        <circle cx="2.75" cy="2.75" r="1.25" fill={ink} />
        <circle cx="8.25" cy="8.25" r="1.25" fill={ink} />
      </>
    ),
  },
  check: {
    size: 12,
    draw: (ink) => (
      <>
        <rect x="0" y="0" width="6" height="12" fill={ink} opacity="0.45" />
        <rect x="0" y="0" width="12" height="6" fill={ink} opacity="0.45" />
        <rect x="8.6" y="0" width="0.7" height="12" fill={ink} />
        <rect x="0" y="8.6" width="12" height="0.7" fill={ink} />
      </>
    ),
  },
  leaf: {
    size: 17,
    draw: (ink) => (
      <g fill={ink}>
        <path d="M2 7 C4 2 9 2 10 3 C9 7 6 9 2 7 Z" />
        <path d="M10 15 C10 11 13 9 16 10 C16 13 14 16 10 15 Z" opacity="0.8" />
        <path d="M12 5 l2.6 -2.6" stroke={ink} strokeWidth="0.7" />
        <path d="M3 13 l2 2" stroke={ink} strokeWidth="0.7" />
      </g>
    ),
  },
};

/** How much cloth a photo is taken to show, in millimetres: about a hand's breadth and a half. */
const pictured = 150;

/** The pattern of a cloth, for the drawing whose ids begin with `within`. */
export const Pattern = memo(function Pattern({ id, swatch }: { id: string; swatch?: Swatch }) {
  const { motif, ground, ink } = withDefaults(swatch);
  const tile = motifs[motif] ?? motifs.plain;
  if (!tile) return null;
  if (swatch?.photo) {
    return (
      <pattern id={id} width={pictured} height={pictured} patternUnits="userSpaceOnUse">
        <rect width={pictured} height={pictured} fill={ground} />
        <image
          href={`/api/v1/photos/${swatch.photo}`}
          width={pictured}
          height={pictured}
          preserveAspectRatio="xMidYMid slice"
        />
      </pattern>
    );
  }
  return (
    <pattern id={id} width={tile.size} height={tile.size} patternUnits="userSpaceOnUse">
      <rect width={tile.size} height={tile.size} fill={ground} />
      {tile.draw(ink)}
    </pattern>
  );
});

/** The names of the prints, in the order they are offered. */
export const motifNames = [
  { value: "plain", name: "plain" },
  { value: "stripe", name: "striped" },
  { value: "dot", name: "dotted" },
  { value: "check", name: "checked" },
  { value: "leaf", name: "leafy" },
];
