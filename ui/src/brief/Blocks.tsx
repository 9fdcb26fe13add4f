import { memo } from "react";
import type { Block, PadFit, SetAside } from "../api/api.gen";
import { Swatch } from "../cloth/Swatch";
import { decided, useOf } from "../plan/context";
import { within } from "../plan/path";
import { Len, T } from "../words/T";
import { Compare } from "./CompareClosures";
import { Figure } from "./Figure";
import { Applique } from "./face/Applique";
import { FaceProvider } from "./face/context";
import { Layouts } from "./face/Layouts";
import { Methods } from "./face/Methods";
import { Outlook } from "./face/Outlook";
import { Ways } from "./face/Ways";
import { Sentence } from "./Sentence";
import { Findings } from "./Thread";
import { Takes, useTake } from "./take";

/** The places of findings that stand with a block instead of with their stage. */
export const placesOf = (blocks: readonly Block[]): string[] =>
  blocks.flatMap((b) => [...(b.about ? [b.about] : []), ...placesOf(b.blocks ?? [])]);

/** What is decided together, told in paragraphs and what stands among them. */
export function Blocks({ of: blocks }: { of: readonly Block[] }) {
  return (
    <>
      {blocks.map((block, i) => (
        <One key={block.key || `${i} ${block.widget ?? ""}`} of={block} />
      ))}
    </>
  );
}

/** A block keeps its identity as long as it tells the same. */
const One = memo(function One({ of: block }: { of: Block }) {
  const drawn = (
    <Takes>
      <Drawn of={block} />
    </Takes>
  );
  return block.face ? <FaceProvider value={block.face}>{drawn}</FaceProvider> : drawn;
});

/** What is drawn for a block that is no paragraph. */
const widgets: Record<string, (props: { of: Block }) => React.ReactNode> = {
  figure: ({ of }) => <Figure kind={of.of ?? ""} />,
  pads: Pads,
  pieces: Pieces,
  parts: Parts,
  cloth: Cloth,
  shapes: Applique,
  methods: Methods,
  outlook: Outlook,
  layouts: Layouts,
  ways: Ways,
  "compare-closures": Compare,
};

function Drawn({ of: block }: { of: Block }) {
  const Widget = block.widget ? widgets[block.widget] : undefined;
  if (Widget) return <Widget of={block} />;
  return (
    <>
      <p>
        <Sentence of={block.words ?? []} />
      </p>
      <Aside of={block.aside ?? []} />
    </>
  );
}

/** What was decided of other kinds and is kept: to be brought back, or forgotten. */
function Aside({ of: kept }: { of: readonly SetAside[] }) {
  const take = useTake();
  if (kept.length === 0) return null;
  return (
    <p className="soft aside">
      Kept aside:{" "}
      {kept.map((one, i) => (
        <span key={one.key}>
          {i > 0 && "; "}
          {one.says},{" "}
          <button type="button" className="word-button" onClick={() => void take(one.choice, one.key, one.says)}>
            bring back<span className="sr-only">{` ${one.says}, ${one.of}`}</span>
          </button>
          {" or "}
          <button
            type="button"
            className="word-button"
            onClick={() => void take(one.forget, "", `${one.says} forgotten`)}
          >
            forget<span className="sr-only">{` ${one.says}, ${one.of}`}</span>
          </button>
        </span>
      ))}
      .
    </p>
  );
}

/** What each piece of a shell is cut from, with what is found of it. */
function Pieces({ of: block }: { of: Block }) {
  const findings = useOf((s) => s.reckoning.findings);
  return (
    <ul className="piece-faces">
      {block.blocks?.map((piece) => (
        <li key={piece.key}>
          <span className="soft">
            <Sentence of={piece.words ?? []} />
          </span>
          <Blocks of={piece.blocks ?? []} />
          <Findings of={findings.filter((f) => piece.about && within(f.about, piece.about))} />
        </li>
      ))}
    </ul>
  );
}

/** Faces above each other. */
function Parts({ of: block }: { of: Block }) {
  return (
    <ol className="stack-parts" aria-label={block.list}>
      {block.blocks?.map((part) => (
        <li key={part.key}>
          <span>
            <Sentence of={part.words ?? []} />
          </span>
          <Blocks of={part.blocks ?? []} />
        </li>
      ))}
    </ol>
  );
}

const fills: Record<string, string> = { full: "fills it", plump: "is plump in it", slack: "is slack in it" };

/** The pads that shops have for this cover. */
function Pads() {
  const pads = useOf((s) => s.reckoning.pads) ?? [];
  const [best] = pads;
  if (!best) return null;
  return (
    <details className="pads-sold">
      <summary>
        Of the inserts that are sold, <PadSize of={best} /> {fills[best.how] ?? best.how}
      </summary>
      <ul>
        {pads.map((pad) => (
          <li key={`${pad.size.width.nm} ${pad.size.height.nm}`}>
            <strong>
              <PadSize of={pad} />
            </strong>{" "}
            {fills[pad.how] ?? pad.how}.{" "}
            <span className="soft">
              <T>{pad.why}</T>
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}

function PadSize({ of: pad }: { of: PadFit }) {
  return pad.round ? (
    <>
      one <Len of={pad.size.width} /> across
    </>
  ) : (
    <>
      one of <Len of={pad.size.width} by={pad.size.height} />
    </>
  );
}

/** A cloth with its swatch. */
function Cloth({ of: block }: { of: Block }) {
  const swatch = useOf((s) => decided(s, `/cloths/${block.of}/swatch`));
  return (
    <p className="cloth-line">
      <Swatch of={swatch as never} />
      <span>
        <Sentence of={block.words ?? []} />
      </span>
    </p>
  );
}
