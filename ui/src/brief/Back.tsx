import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import type { BackShown, Choice as Closing, Reckoning } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import { useStarts } from "../api/queries";
import { alike, become, forget, type Keeping } from "../plan/aside";
import { usePlan } from "../plan/context";
import { get, put } from "../plan/path";
import { Mark } from "../sheet/Closure";
import { mm } from "../sheet/PieceDrawing";
import { Len, T } from "../words/T";
import { Aside } from "./Aside";
import { Choice } from "./Choice";
import { useLetters } from "./sentences";
import { Findings } from "./Thread";
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

/** A closure as it stands in a plan. */
interface Closed extends Keeping<Closed> {
  kind?: string;
  cloth?: string;
  flap?: unknown;
}

/** The closures a cushion can have, the one it has, and a way to take another. */
function useClosures() {
  const { value, typed, rework, reckoning } = usePlan();
  const closures = useStarts(String(value("/units") ?? "in")).data?.closures ?? [];
  const back = (typed("/back") ?? {}) as Closed;
  const now = reckoning.closure;
  const begun = (key: string) => {
    const back = closures.find((c) => c.key === key)?.back as Closed | undefined;
    return back?.flap === undefined ? back : { ...back, flap: reckoning.starts.flap };
  };
  const close = (key: string) => {
    const next = begun(key);
    if (!next) return;
    const was = { ...back, kind: back.kind ?? begun(now)?.kind };
    const { cloth, aside: _, ...own } = was;
    const closed = become(was, now, key, next, !alike(own, { kind: was.kind }) && !alike(own, begun(now)));
    rework(
      (plan) => put(plan, "/back", cloth ? { ...closed, cloth } : closed),
      closures.find((c) => c.key === key)?.name ?? key,
    );
  };
  return { closures, close, now, back };
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
function Opens({ reckoning }: { reckoning: Reckoning }) {
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

/** What the tape said of the front, where it can be put right. */
function MeasuredFront() {
  const at = usePlan().reckoning.measured_front;
  if (at === undefined) return null;
  return (
    <>
      The front measured <Value path={`/measured/${at}/width`} label="Front as measured, across" /> across and{" "}
      <Value path={`/measured/${at}/height`} label="Front as measured, up" /> up: it can be cut.
    </>
  );
}

/** All closures for this cover side by side, with their figures. */
function Compare() {
  const { plan } = usePlan();
  const { close } = useClosures();
  const [choices, setChoices] = useState<Closing[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const compare = async () => {
    setProblem(null);
    try {
      setChoices(await ask<Closing[]>("POST", "/closures", plan));
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <>
      <p>
        <button type="button" className="word-button" onClick={() => void compare()}>
          Compare the closures for this cover
        </button>
      </p>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      <Dialog
        open={choices !== null}
        onClose={() => setChoices(null)}
        maxWidth="lg"
        fullWidth
        aria-labelledby="closures-title"
      >
        <DialogTitle id="closures-title">How it could close</DialogTitle>
        <DialogContent>
          <ul className="closures">
            {choices?.map((c) => (
              <OneClosure
                key={c.key}
                choice={c}
                take={() => {
                  close(c.key);
                  setChoices(null);
                }}
              />
            ))}
          </ul>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setChoices(null)}>Leave it as it is</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

function OneClosure({ choice, take }: { choice: Closing; take: () => void }) {
  const { back } = choice;
  const pieces = choice.cuts.map((c) => `${c.count} × ${c.width.text} × ${c.height.text}`).join(", ");
  const bought = back?.notions.map((n) => `${n.length.text} of ${n.what}`) ?? [];
  if (back && back.buttons > 0) bought.push(`${back.buttons} buttons`);
  return (
    <li className={choice.chosen ? "closure chosen-closure" : "closure"}>
      <h3>{choice.name.replace(/^./, (c) => c.toUpperCase())}</h3>
      {back && <Small back={back} />}
      {back && (
        <dl>
          <dt>Pieces</dt>
          <dd>
            <T>{pieces}</T>
          </dd>
          <dt>Cloth</dt>
          <dd>
            <Len of={back.cloth} />
          </dd>
          <dt>To buy</dt>
          <dd>
            <T>{bought.join(", ") || "nothing"}</T>
          </dd>
          <dt>Opens</dt>
          <dd>
            <Len of={back.opening} />
            {back.overlap.nm > 0 && (
              <>
                , overlaps <Len of={back.overlap} />
              </>
            )}
          </dd>
          <dt>Work</dt>
          <dd>
            {choice.steps} steps from here; asks for {choice.skill}
          </dd>
        </dl>
      )}
      <p className="soft">
        {choice.suits} {choice.wash}
      </p>
      <Findings of={choice.findings} />
      {choice.chosen ? (
        <p className="closure-now">As planned</p>
      ) : (
        <button type="button" className="word-button" onClick={take}>
          Take this<span className="sr-only">: {choice.name}</span>
        </button>
      )}
    </li>
  );
}

/** A back drawn small, as it lies. */
function Small({ back }: { back: BackShown }) {
  const boxes = back.lies.map((lie) => lie.box);
  const [x, y] = [Math.min(...boxes.map((b) => b.x)), Math.min(...boxes.map((b) => b.y))];
  const [right, bottom] = [Math.max(...boxes.map((b) => b.x + b.width)), Math.max(...boxes.map((b) => b.y + b.height))];
  return (
    <svg
      className="closure-drawing"
      viewBox={`${mm(x)} ${mm(y)} ${mm(right - x)} ${mm(bottom - y)}`}
      aria-hidden="true"
    >
      {boxes.map((b) => (
        <rect key={b.x} className="closure-piece" x={mm(b.x)} y={mm(b.y)} width={mm(b.width)} height={mm(b.height)} />
      ))}
      {back.marks.map((mark) => (
        <Mark key={`${mark.box.x} ${mark.box.y}`} mark={mark} />
      ))}
    </svg>
  );
}
