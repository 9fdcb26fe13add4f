import { useState } from "react";
import { Link } from "react-router";
import type { PlanView, SampleUse, SampleView } from "../api/api.gen";
import { ApiError, ask, sentence } from "../api/client";
import { keys, useChange, useHabits, useInTurn, useOffers, useSamples, useSampleUses, useStarts } from "../api/queries";
import { Choice } from "../brief/Choice";
import { Field } from "../brief/Field";
import { type Patterns, type QuiltingDoc, usePatterns } from "../brief/quilting";
import { get, put } from "../plan/path";
import { useSay } from "../shell/Say";
import { dressed } from "../words/fractions";
import { T } from "../words/T";
import { SampleDrawing } from "./SampleDrawing";

/** A sample as it is written. */
export interface SampleDoc {
  title: string;
  kind: string;
  cloth?: string;
  layers?: { batting?: { count?: number; loft?: string }; lining?: string };
  quilting?: QuiltingDoc;
  before?: { width?: string; height?: string };
  after?: { width?: string; height?: string }[];
  cut?: string;
  seam?: string;
  notes?: string;
}

const kinds: Record<string, { name: string; tells: string }> = {
  quilting: { name: "a quilted test square", tells: "how much quilting takes" },
  gather: { name: "a gathered strip", tells: "how much cloth gathers take" },
  strips: { name: "three strips", tells: "how true your seam is" },
  wash: { name: "a square to wash", tells: "how much washing takes" },
};

/** What was sewn to find something out, before and after, and which plans go by it. */
export function Samples() {
  const samples = useSamples();
  const units = useHabits().data?.units ?? "in";
  const starts = useStarts(units).data;
  const add = useChange((sample: unknown) => ask<SampleView>("POST", "/samples", { sample }));
  return (
    <div className="page">
      <h1>Samples</h1>
      <p>
        A small piece, sewn, drawn in or washed, tells more than any estimate. Begin{" "}
        {Object.entries(kinds).map(([kind, { name, tells }], i, all) => (
          <span key={kind}>
            {i > 0 && (i === all.length - 1 ? " or " : ", ")}
            <button
              type="button"
              className="word-button"
              disabled={add.isPending || !starts}
              onClick={() =>
                add.mutate(((starts?.samples ?? []) as unknown as SampleDoc[]).find((s) => s.kind === kind))
              }
            >
              {name}
            </button>
            <span className="soft"> for {tells}</span>
          </span>
        ))}
        .
      </p>
      {(samples.isError || add.isError) && (
        <p className="finding stop" role="alert">
          {sentence(samples.error ?? add.error)}
        </p>
      )}
      <Offers keep={(sample) => add.mutate(sample)} waiting={add.isPending} />
      {samples.data?.length === 0 && (
        <p className="empty">No sample is sewn yet. One square of the stack and an hour save a cover.</p>
      )}
      <ul className="samples">
        {samples.data?.map((sample) => (
          <One key={sample.id} sample={sample} units={units} />
        ))}
      </ul>
    </div>
  );
}

/** What finished covers tell as well as a sample would; it is kept only when that is wanted. */
function Offers({ keep, waiting }: { keep: (sample: unknown) => void; waiting: boolean }) {
  const offers = useOffers().data ?? [];
  if (offers.length === 0) return null;
  return (
    <section aria-label="What finished covers tell" className="offers">
      {offers.map((o) => (
        <p key={o.title}>
          {o.covers.length} finished covers were quilted alike and measured before they were trimmed (
          {o.covers.join(", ")}):{" "}
          {(o.tells ?? []).slice(0, 2).map((t, i) => (
            <span key={t.name}>
              {i > 0 && ", "}
              {t.name.toLowerCase()}{" "}
              <strong>
                <T>{t.text}</T>
              </strong>
            </span>
          ))}
          .{" "}
          <button type="button" className="word-button" disabled={waiting} onClick={() => keep(o.sample)}>
            Keep that as a sample
          </button>
        </p>
      ))}
    </section>
  );
}

function One({ sample, units }: { sample: SampleView; units: string }) {
  const say = useSay();
  const doc = sample.sample as unknown as SampleDoc;
  const settled = sample.settled as unknown as SampleDoc;
  const [problem, setProblem] = useState<string | null>(null);
  const save = useInTurn({
    key: keys.samples,
    scope: `sample ${sample.id}`,
    send: (all: SampleView[], { path, value }: { path: string; value: unknown }) => {
      const now = all.find((s) => s.id === sample.id) ?? sample;
      return ask<SampleView>("PUT", `/samples/${sample.id}`, {
        base: now.revision,
        sample: put(now.sample as unknown as SampleDoc, path, value),
      });
    },
    kept: (all, answer) => all.map((s) => (s.id === answer.id ? answer : s)),
  });
  const away = useChange(() => ask("DELETE", `/samples/${sample.id}`));
  const back = useChange(() => ask("POST", `/samples/${sample.id}/bring-back`, {}));
  const set = (path: string, value: unknown) =>
    void save.mutateAsync({ path, value }).then(
      () => setProblem(null),
      (error) => setProblem(sentence(error)),
    );
  const putAway = async () => {
    await away.mutateAsync(undefined);
    say(`${settled.title} is put away.`, { label: "Bring it back", act: () => void back.mutateAsync(undefined) });
  };
  /** A value of the sample, edited where it stands. */
  const at = (path: string, label: string, text = false) => {
    const kept = String(get(settled, path) ?? "");
    return (
      <Field
        label={`${label}, ${settled.title}`}
        text={String(get(doc, path) ?? "")}
        shown={text ? kept : kept ? dressed(kept, units) : "—"}
        reads={text ? undefined : "length"}
        judge={async (next) => judged(put(doc, path, next.trim() || undefined), path)}
        keep={(next) => set(path, next.trim() || undefined)}
      />
    );
  };
  const patterns = usePatterns(units);
  const words = sentences[settled.kind];
  return (
    <li className="sample">
      <SampleDrawing sample={settled} />
      <div>
        <h2>{at("/title", "Name", true)}</h2>
        {words?.({ doc, settled, at, set, patterns })}
        <After doc={doc} at={at} set={set} />
        {problem && (
          <p className="finding stop" role="alert">
            {problem}
          </p>
        )}
        <dl className="tells">
          {(sample.tells ?? []).map((t) => (
            <div key={t.name}>
              <dt>{t.name}</dt>
              <dd>
                <strong>
                  <T>{t.text}</T>
                </strong>
                {t.spread && (
                  <span className="soft">
                    {" "}
                    ± <T>{t.spread}</T>
                  </span>
                )}
              </dd>
            </div>
          ))}
        </dl>
        <Uses sample={sample} title={settled.title} />
        <details>
          <summary>How it is sewn and measured</summary>
          <ol>
            {(sample.instructions ?? []).map((text) => (
              <li key={text}>
                <T>{text}</T>
              </li>
            ))}
          </ol>
        </details>
        <div className="row-actions">
          <button type="button" className="word-button" onClick={() => void putAway()}>
            Put away<span className="sr-only"> {settled.title}</span>
          </button>
        </div>
      </div>
    </li>
  );
}

/** What is wrong with a sample at a path, or null. */
async function judged(sample: SampleDoc, path: string): Promise<string | null> {
  try {
    await ask("POST", "/samples/tell", { sample });
    return null;
  } catch (error) {
    const mine =
      error instanceof ApiError
        ? error.problem.errors?.find((e) => e.path.startsWith(path) || path.startsWith(e.path))
        : undefined;
    return mine?.text ?? sentence(error);
  }
}

interface Words {
  doc: SampleDoc;
  settled: SampleDoc;
  at: (path: string, label: string, text?: boolean) => React.ReactNode;
  set: (path: string, value: unknown) => void;
  patterns: Patterns;
}

const sentences: Record<string, (words: Words) => React.ReactNode> = {
  quilting: ({ doc, settled, at, set, patterns }) => {
    const quilting = settled.quilting ?? {};
    const count = settled.layers?.batting?.count ?? 0;
    return (
      <p>
        Over{" "}
        <Choice
          label={`Layers of batting, ${settled.title}`}
          value={String(count)}
          options={[
            { value: "0", name: "no batting" },
            { value: "1", name: "one batting" },
            { value: "2", name: "two battings" },
          ]}
          choose={(next) =>
            set(
              "/layers/batting",
              next === "0"
                ? undefined
                : { ...doc.layers?.batting, count: Number(next), loft: doc.layers?.batting?.loft ?? "3 mm" },
            )
          }
        />
        {count > 0 && <> {at("/layers/batting/loft", "Loft of one batting")} thick</>} and{" "}
        <Choice
          label={`Lining, ${settled.title}`}
          value={settled.layers?.lining ? "yes" : ""}
          options={[
            { value: "", name: "no lining" },
            { value: "yes", name: "a lining" },
          ]}
          choose={(next) => set("/layers/lining", next ? "L" : undefined)}
        />
        ,{" "}
        <Choice
          label={`Quilting, ${settled.title}`}
          value={patterns.of(quilting)}
          options={patterns.list.filter((p) => p.key !== "none").map((p) => ({ value: p.key, name: p.name }))}
          choose={(next) => set("/quilting", patterns.make(next, quilting))}
        />
        {quilting.lines && quilting.lines.length > 0 && (
          <> {at("/quilting/lines/0/pitch", "Distance between quilting lines")} apart</>
        )}
        . Before, its square was {at("/before/width", "Width before")} across by {at("/before/height", "Height before")}{" "}
        up.
      </p>
    );
  },
  gather: ({ at }) => (
    <p>
      Before, the strip was {at("/before/width", "Width before")} long and {at("/before/height", "Height before")} high.
    </p>
  ),
  strips: ({ at }) => (
    <p>
      Three strips cut {at("/cut", "Width of a strip")} wide, sewn with seams that should be{" "}
      {at("/seam", "Seam that is wanted")}.
    </p>
  ),
  wash: ({ at }) => (
    <p>
      Before, its square was {at("/before/width", "Width before")} across by {at("/before/height", "Height before")} up.
    </p>
  ),
};

/** What it measures after, once for every repeat. */
function After({ doc, at, set }: { doc: SampleDoc; at: Words["at"]; set: Words["set"] }) {
  const list = doc.after ?? [];
  const both = doc.kind === "quilting" || doc.kind === "wash";
  const what = {
    quilting: "After quilting it is",
    gather: "Drawn in it is",
    strips: "The middle strip shows",
    wash: "After washing it is",
  }[doc.kind];
  return (
    <p>
      {list.map((_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: repeats have no identity but their order
        <span key={i}>
          {i === 0 ? `${what} ` : ", again "}
          {at(`/after/${i}/width`, `Width after, ${i + 1}`)}
          {both && <> by {at(`/after/${i}/height`, `Height after, ${i + 1}`)}</>}
        </span>
      ))}
      {list.length > 0 && ". "}
      <button
        type="button"
        className="word-button"
        onClick={() =>
          set("/after", [
            ...list,
            both ? { width: doc.before?.width, height: doc.before?.height } : { width: begun(doc) },
          ])
        }
      >
        {list.length === 0 ? "Enter what it measures" : "Enter another one"}
      </button>
      {list.length > 0 && (
        <>
          {" "}
          <button type="button" className="word-button" onClick={() => set("/after", list.slice(0, -1))}>
            Take the last one out
          </button>
        </>
      )}
    </p>
  );
}

/** What a measurement is typed over: nothing is known of it yet. */
const begun = (doc: SampleDoc) => (doc.kind === "strips" ? "1 in" : "6 in");

/** The plans it is used in, and what it would change in the others. */
function Uses({ sample, title }: { sample: SampleView; title: string }) {
  const say = useSay();
  const measured = (sample.tells ?? []).length > 0;
  const use = useChange(async (one: SampleUse) => {
    const view = await ask<PlanView>("GET", `/plans/${one.plan}`);
    const plan = used(view.plan, one, sample.id);
    return ask("PUT", `/plans/${one.plan}`, { base: view.revision, plan, label: `by the sample “${title}”` });
  });
  const uses = useSampleUses().data?.[sample.id] ?? [];
  if (!measured || uses.length === 0) return null;
  const take = (one: SampleUse) =>
    use.mutateAsync(one).then(
      () => say(`${one.title} goes by it now; undo is in the plan.`),
      (error) => say(sentence(error)),
    );
  const telling = uses.filter((one) => one.used || (one.changes ?? []).length > 0);
  const others = uses.filter((one) => !telling.includes(one));
  return (
    <>
      <ul className="uses" aria-label={`Plans that go by ${title}`}>
        {telling.map((one) => (
          <li key={`${one.plan} ${one.path}`}>
            <Link to={`/plans/${one.plan}`}>{one.title}</Link>{" "}
            {one.used ? <strong>goes by it</strong> : <Would use={one} take={() => void take(one)} />}
          </li>
        ))}
      </ul>
      {others.length > 0 && (
        <details>
          <summary className="soft">
            It would change no cut of {others.length === 1 ? "one other plan" : `${others.length} other plans`}
          </summary>
          <ul className="uses">
            {others.map((one) => (
              <li key={`${one.plan} ${one.path}`}>
                <Link to={`/plans/${one.plan}`}>{one.title}</Link> <Would use={one} take={() => void take(one)} />
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** What a sample would change in a plan, and the way to go by it. */
function Would({ use, take }: { use: SampleUse; take: () => void }) {
  const changes = use.changes ?? [];
  const first = changes.slice(0, 3).map((c) => `${c.title.toLowerCase()} ${c.from} → ${c.to}`);
  return (
    <>
      <button type="button" className="word-button" onClick={take}>
        Go by it<span className="sr-only"> in {use.title}</span>
      </button>{" "}
      <span className="soft">
        {use.other && `${use.other}; `}
        <T>{`${first.join(", ")}${changes.length > 3 ? (changes.length === 4 ? ", and one more cut" : `, and ${changes.length - 3} more cuts`) : ""}`}</T>
      </span>
    </>
  );
}

/** A plan with a sample used in it. */
function used(plan: unknown, use: SampleUse, id: string): unknown {
  if (use.path === "/cover/wash") return put(plan, use.path, use.takes);
  if (use.path.endsWith("/take_up")) return put(plan, use.path, { from: "sample", id });
  const face = use.path.replace(/\/sample$/, "");
  return put(put(put(plan, use.path, id), `${face}/ratio`, undefined), `${face}/sampled`, undefined);
}
