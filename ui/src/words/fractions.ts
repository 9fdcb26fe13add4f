/** A stretch of text: words, or a fraction to be set as one. */
export type Run = { text: string } | { top: string; under: string };

const glyphs: Record<string, [string, string]> = {
  "½": ["1", "2"],
  "¼": ["1", "4"],
  "¾": ["3", "4"],
  "⅛": ["1", "8"],
  "⅜": ["3", "8"],
  "⅝": ["5", "8"],
  "⅞": ["7", "8"],
  "⅓": ["1", "3"],
  "⅔": ["2", "3"],
  "⅕": ["1", "5"],
  "⅖": ["2", "5"],
  "⅗": ["3", "5"],
  "⅘": ["4", "5"],
  "⅙": ["1", "6"],
  "⅚": ["5", "6"],
  "⅐": ["1", "7"],
  "⅑": ["1", "9"],
  "⅒": ["1", "10"],
};

const fraction = /[½¼¾⅛⅜⅝⅞⅓⅔⅕⅖⅗⅘⅙⅚⅐⅑⅒]|[⁰¹²³⁴⁵⁶⁷⁸⁹]+⁄[₀₁₂₃₄₅₆₇₈₉]+/g;

const level = (digits: string) =>
  [...digits].map((c) => "⁰¹²³⁴⁵⁶⁷⁸⁹".indexOf(c) + "₀₁₂₃₄₅₆₇₈₉".indexOf(c) + 1).join("");

/** Splits a text so that its fractions can be set as real ones. */
export function runs(text: string): Run[] {
  const out: Run[] = [];
  let from = 0;
  for (const match of text.matchAll(fraction)) {
    if (match.index > from) out.push({ text: text.slice(from, match.index) });
    const [top, under] = glyphs[match[0]] ?? match[0].split("⁄").map(level);
    out.push({ top: top ?? "", under: under ?? "" });
    from = match.index + match[0].length;
  }
  if (from < text.length) out.push({ text: text.slice(from) });
  return out;
}

const superscript = (digits: string) => [...digits].map((c) => "⁰¹²³⁴⁵⁶⁷⁸⁹"[Number(c)]).join("");
const subscript = (digits: string) => [...digits].map((c) => "₀₁₂₃₄₅₆₇₈₉"[Number(c)]).join("");

/** Dresses the notation of a plan file ("19 1/2") as it is shown ("19¹⁄₂″"). */
export function dressed(plain: string, units: string): string {
  if (plain.endsWith(" cut")) return `${dressed(plain.slice(0, -4), units)} cut`;
  const text = plain
    .replace(/^-/, "−")
    .replace(
      /(?:(\d+) )?(\d+)\/(\d+)/,
      (_, whole: string | undefined, top: string, under: string) =>
        `${whole ?? ""}${superscript(top)}⁄${subscript(under)}`,
    );
  if (/[a-z]$/.test(text)) return text;
  return units === "in" ? `${text}″` : `${text} ${units}`;
}
