import { useId } from "react";
import type { BlockView, Swatch } from "../../api/api.gen";
import { Pattern } from "../../cloth/Pattern";

/** The side of a drawn block, in the units that cloth is drawn in. */
const side = 60;

/** The corners of a patch as a path. */
export const corners = (line: readonly (readonly [number, number])[], size: number) =>
  `M${line.map(([x, y]) => `${x * size} ${y * size}`).join("L")}Z`;

/** The cloth a letter of a block stands for: A the first of the face, B the second, and round again. */
export const clothOf = (cloths: readonly string[]) => (letter: string) =>
  cloths.length > 0 ? (cloths[(letter.charCodeAt(0) - 65) % cloths.length] as string) : letter;

/** A block drawn small in the cloths of the face. */
export function BlockPicture({
  block,
  cloths,
  swatches,
  size = 72,
}: {
  block: BlockView;
  cloths: readonly string[];
  swatches: Record<string, Swatch>;
  size?: number;
}) {
  const id = useId();
  const cloth = clothOf(cloths);
  return (
    <svg className="block-picture" width={size} height={size} viewBox={`0 0 ${side} ${side}`} aria-hidden="true">
      <defs>
        {block.letters.map((letter) => (
          <Pattern key={letter} id={`${id}${letter}`} swatch={swatches[cloth(letter)]} />
        ))}
      </defs>
      {block.patches.map((p) => (
        <path key={corners(p.line, side)} d={corners(p.line, side)} fill={`url(#${id}${p.letter})`} />
      ))}
    </svg>
  );
}
