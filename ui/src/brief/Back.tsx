import type { Reckoning } from "../api/api.gen";
import { useStarts } from "../api/queries";
import { forget } from "../plan/aside";
import { usePlan } from "../plan/context";
import { get, put } from "../plan/path";
import { Len } from "../words/T";
import { Aside } from "./Aside";
import { Choice } from "./Choice";
import { Compare } from "./CompareClosures";
import { useClosures } from "./closures";
import { MeasuredFront } from "./MeasuredFront";
import { useLetters } from "./sentences";
import { Value } from "./Value";

/** How it closes. */
export function Back() {
  const { value, rework, reckoning } = usePlan();
  const letters = useLetters();
  const { closures, close, now, back } = useClosures();
  const { edit } = usePlan();
  const named = (key: string) => closures.find((c) => c.key === key)?.name ?? key;
  const cloth = String(get(value("/pieces/back/face"), "/cloth") ?? value("/back/cloth") ?? "");
  const waits = reckoning.measured_front === undefined;
  const Words = words[now];
  return (
    <>
      <p>
        It closes with{" "}
        <Choice
          label="Closure of the back"
          value={now}
          options={closures.map((c) => ({ value: c.key, name: c.name }))}
          choose={(key) => close(key)}
        />{" "}
        of{" "}
        <Choice
          label="Cloth of the back"
          value={cloth}
          options={letters}
          choose={(next) =>
            rework((plan) => put(plan, "/pieces/back/face", { kind: "plain", cloth: next }), `back of ${next}`)
          }
        />
        {Words && <Words />}. <Opens reckoning={reckoning} />{" "}
        {waits ? "Cut after the front is measured." : <MeasuredFront />}
      </p>
      <Aside
        kept={back.aside}
        of="closure of the back"
        name={named}
        bring={close}
        drop={(key) => edit("/back", forget(back, key), `${named(key)} forgotten`)}
      />
      <Compare />
    </>
  );
}

/** What is decided for each closure. */
const words: Record<string, () => React.ReactNode> = {
  envelope: Envelope,
  folded: Folded,
  "folded-lined": Folded,
  lapped: () => (
    <>
      , its bands <Value path="/back/band" label="Width of the bands" /> wide, the tape{" "}
      <Value path="/back/tape" label="Width of the tape" />
    </>
  ),
  buttons: () => (
    <>
      , its bands <Value path="/back/band" label="Width of the bands" /> wide, with <HowMany label="How many buttons" />{" "}
      of <Value path="/back/button" label="Width of a button" />
    </>
  ),
  ties: () => (
    <>
      , its bands <Value path="/back/band" label="Width of the bands" /> wide, with{" "}
      <HowMany label="How many pairs of ties" /> pairs
    </>
  ),
  zip: () => (
    <>
      , <Value path="/back/seam" label="Turned under at the zip" /> turned under at the zip
    </>
  ),
  "zip-flap": () => (
    <>
      , <Value path="/back/seam" label="Turned under at the zip" /> turned under at the zip and a flap of{" "}
      <Value path="/back/flap" label="Width of the flap" /> over it
    </>
  ),
  "zip-side": () => (
    <>
      , open over <Value path="/back/gap" label="Opening of the zip" shown={useGap()} />
    </>
  ),
  sewn: () => (
    <>
      , the gap <Value path="/back/gap" label="Gap to be sewn shut" />
    </>
  ),
  "sewn-tab": () => (
    <>
      , the gap <Value path="/back/gap" label="Gap to be sewn shut" />, the tab standing out{" "}
      <Value path="/back/tab" label="Width of the tab" />
    </>
  ),
};

/** An opening that nobody decided is the whole side. */
function useGap() {
  const { value } = usePlan();
  return [undefined, "0"].includes(value("/back/gap") as string | undefined) ? "the whole side" : undefined;
}

/** A number of buttons or ties, or as many as are usual. */
function HowMany({ label }: { label: string }) {
  const { value, reckoning } = usePlan();
  const usual = reckoning.back?.buttons || "the usual number of";
  return (
    <Value
      path="/back/count"
      label={label}
      kind="count"
      shown={Number(value("/back/count") ?? 0) === 0 ? `${usual}` : undefined}
    />
  );
}

/** How far it overlaps and how it opens, and what is bought for it. */
export function Opens({ reckoning }: { reckoning: Reckoning }) {
  const { back } = reckoning;
  if (!back) return null;
  return (
    <span className="soft">
      {back.overlap.nm > 0 && (
        <>
          It overlaps <Len of={back.overlap} />, {Math.round(back.share)} % of the width.{" "}
        </>
      )}
      It opens <Len of={back.opening} />
      {back.notions.map((n) => (
        <span key={n.what}>
          ; buy <Len of={n.length} /> of {n.what}
        </span>
      ))}
      {back.buttons > 0 && `; ${back.buttons} buttons`}.
    </span>
  );
}

function Folded() {
  const { value } = usePlan();
  const depth = value("/back/depth");
  return (
    <>
      ,{" "}
      {depth ? (
        <>
          each piece folded to <Value path="/back/depth" label="Depth of the folded pieces" />
        </>
      ) : (
        <Overlap />
      )}
      {value("/back/lined") === true && (
        <>
          , a gap of <Value path="/back/gap" label="Gap in the lining" /> in the lining
        </>
      )}
    </>
  );
}

/** An overlap by its size, or by its share of the width. */
function Overlap() {
  const { value, rework, reckoning } = usePlan();
  const share = Number(value("/back/share") ?? 0) > 0;
  const choose = (next: string) =>
    rework((plan) => {
      const cleared = put(put(plan, "/back/overlap", undefined), "/back/share", undefined);
      return next === "share"
        ? put(cleared, "/back/share", 25)
        : put(cleared, "/back/overlap", reckoning.back?.overlap.exact);
    }, `overlap by its ${next}`);
  return (
    <>
      overlapping by{" "}
      <Choice
        label="How the overlap is decided"
        value={share ? "share" : "size"}
        options={[
          { value: "size", name: "a size," },
          { value: "share", name: "a share of the width," },
        ]}
        choose={choose}
      />{" "}
      {share ? (
        <Value path="/back/share" label="Share of the overlap" kind="percent" />
      ) : (
        <Value
          path="/back/overlap"
          label="Overlap of the back"
          shown={value("/back/overlap") === undefined ? "a quarter" : undefined}
        />
      )}
    </>
  );
}

function Envelope() {
  const { value, rework, reckoning } = usePlan();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const hem = (value("/back/hem") ?? []) as string[];
  const given = Array.isArray(value("/back/panels"));
  const cut = reckoning.cuts.find((c) => c.piece === "back" && c.layer === "outer");
  const usualHem = get(starts?.closures[0]?.back, "/hem");
  return (
    <>
      , in{" "}
      <Choice
        label="Pieces of the back"
        value={given ? "given" : "equal"}
        options={[
          { value: "equal", name: "two equal pieces" },
          { value: "given", name: "two pieces of my widths" },
        ]}
        choose={(next) =>
          rework(
            (plan) =>
              put(
                plan,
                "/back/panels",
                next === "equal" ? "equal" : [cut?.width.exact ?? "0", cut?.width.exact ?? "0"],
              ),
            next === "equal" ? "equal back pieces" : "back pieces of given widths",
          )
        }
      />
      {given && (
        <>
          , <Value path="/back/panels/0" label="Cut width of the left back piece" /> and{" "}
          <Value path="/back/panels/1" label="Cut width of the right back piece" />
        </>
      )}
      ,{" "}
      <Choice
        label="Hem of the back pieces"
        value={hem.length === 0 ? "none" : "double"}
        options={[
          { value: "double", name: "hemmed" },
          { value: "none", name: "selvedges unhemmed" },
        ]}
        choose={(next) =>
          rework(
            (plan) => put(plan, "/back/hem", next === "none" ? [] : usualHem),
            next === "none" ? "no hem" : "hemmed",
          )
        }
      />
      {hem.map((_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: folds have no identity but their order
        <span key={i}>
          {i === 0 ? " " : " and "}
          <Value path={`/back/hem/${i}`} label={i === 0 ? "First fold of the hem" : "Second fold of the hem"} />
        </span>
      ))}
      {!given && (
        <>
          , <Overlap />
        </>
      )}
    </>
  );
}
