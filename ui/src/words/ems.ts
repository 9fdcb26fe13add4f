import { runs } from "./fractions";

/** How wide letters are in the house's typeface, in ems; what is not told is as wide as most. */
const widths: [RegExp, number][] = [
  [/[ .,:;·′'|ijlI]/, 0.25],
  [/[frt()″-]/, 0.34],
  [/[mwMW≈]/, 0.8],
  [/[A-Z]/, 0.6],
];
const most = 0.51;

/** About how wide a text is when it is drawn with its fractions, in ems: a drawing makes room for it before it is there. */
export function ems(text: string): number {
  return runs(text).reduce((sum, run) => sum + ("text" in run ? letters(run.text) : fraction(run)), 0);
}

const letters = (text: string) =>
  [...text].reduce((sum, letter) => sum + (widths.find(([of]) => of.test(letter))?.[1] ?? most), 0);

const fraction = ({ top, under }: { top: string; under: string }) => 0.14 + 0.34 * (top.length + under.length);
