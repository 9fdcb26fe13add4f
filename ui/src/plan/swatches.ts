import type { Swatch } from "../api/api.gen";

/** How each cloth of a plan is drawn, by its letter. */
export function swatchesOf(cloths: unknown): Record<string, Swatch> {
  const described = (cloths ?? {}) as Record<string, { swatch?: Swatch }>;
  return Object.fromEntries(Object.entries(described).map(([letter, cloth]) => [letter, cloth.swatch ?? {}]));
}
