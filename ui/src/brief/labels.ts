import type { Block, Brief, Choice, Word } from "../api/api.gen";

/** The words of a brief, wherever they stand. */
function words(blocks: Block[]): Word[] {
  return blocks.flatMap((b) => [...(b.words ?? []), ...words(b.blocks ?? [])]);
}

const decides = (c: Choice, path: string) => c.id === path || c.also?.includes(path);

/** What a brief calls the value at a path, and how it says one of its words; null where it says nothing of it. */
export function labelOf(brief: Brief, path: string): { label: string; says: (value: unknown) => string | null } | null {
  for (const { field, choice } of words(brief.stages.flatMap((s) => s.blocks))) {
    if (field?.path === path) return { label: field.label, says: () => null };
    if (choice && decides(choice, path)) {
      const says = (value: unknown) => choice.options.find((o) => o.key === value)?.says ?? null;
      return { label: choice.label, says };
    }
  }
  return null;
}
