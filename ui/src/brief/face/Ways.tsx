import type { Piece } from "../../api/api.gen";
import { useOf, usePlan } from "../../plan/context";
import type { FaceDoc } from "../../plan/paint";
import { swatchesOf } from "../../plan/swatches";
import { extent, PieceDrawing } from "../../sheet/PieceDrawing";
import { useFace } from "./context";

/** The colourways of a face side by side. */
export function Ways() {
  const { config, face, become, set, at } = useFace();
  const { value } = usePlan();
  const kept = (at("/colourways") ?? []) as { key?: string; name: string; face: FaceDoc }[];
  const piece = useOf((s) => s.drawn.pieces.find((p) => p.config === config));
  const { colourways: _, ...now } = face;
  const keep = () => set("/colourways", [...kept, { name: `Colourway ${kept.length + 1}`, face: now }], "colours kept");
  const use = (i: number) =>
    become(
      { ...kept[i]?.face, colourways: kept.map((w, k) => (k === i ? { ...w, face: now } : w)) },
      `colours of ${kept[i]?.name.toLowerCase()}`,
    );
  return (
    <div className="ways">
      {kept.map((way, i) => {
        const laid = piece?.ways.find((w) => w.key === way.key);
        return (
          <figure key={way.key ?? i}>
            {piece && laid && (
              <Thumb piece={{ ...piece, cells: laid.cells, quilting: undefined }} cloths={value("/cloths")} />
            )}
            <figcaption>
              {way.name}{" "}
              <button type="button" className="word-button" onClick={() => use(i)}>
                use it
              </button>{" "}
              <button
                type="button"
                className="word-button"
                aria-label={`Remove ${way.name}`}
                onClick={() => set(`/colourways/${i}`, undefined, `${way.name.toLowerCase()} taken out`)}
              >
                take it out
              </button>
            </figcaption>
          </figure>
        );
      })}
      {kept.length < 8 && (
        <button type="button" className="word-button" onClick={keep}>
          Keep these colours to compare
        </button>
      )}
    </div>
  );
}

function Thumb({ piece, cloths }: { piece: Piece; cloths: unknown }) {
  const box = extent(piece);
  return (
    <svg className="way" viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`} aria-hidden="true">
      <PieceDrawing piece={piece} swatches={swatchesOf(cloths)} outlines={false} />
    </svg>
  );
}
