import { useState } from "react";
import type { SampleView } from "../api/api.gen";
import { ApiError, ask, sentence } from "../api/client";
import { takeAway } from "../api/once";
import {
  keys,
  useChange,
  useHabits,
  useInTurn,
  useMake,
  useOffers,
  useSamples,
  useSampleUses,
  useStarts,
} from "../api/queries";
import { Field } from "../brief/Field";
import { usePatterns } from "../brief/quilting";
import { get, put } from "../plan/path";
import { After } from "../samples/After";
import type { SampleDoc } from "../samples/doc";
import { Offers } from "../samples/Offers";
import { SampleDrawing } from "../samples/SampleDrawing";
import { sentences } from "../samples/sentences";
import { Uses } from "../samples/Uses";
import { useSay, useTrying } from "../shell/Say";
import { dressed } from "../words/fractions";
import { T } from "../words/T";

const kinds: Record<string, { name: string; tells: string }> = {
  quilting: { name: "a quilted test square", tells: "how much quilting takes" },
  gather: { name: "a gathered strip", tells: "how much fabric gathers take" },
  strips: { name: "three strips", tells: "how true your seam is" },
  wash: { name: "a square to wash", tells: "how much washing takes" },
};

/** What was sewn to find something out, before and after, and which plans go by it. */
export function Samples() {
  const samples = useSamples();
  // They stand above and within: nothing is pushed down.
  const offers = useOffers();
  const uses = useSampleUses();
  const units = useHabits().data?.units ?? "in";
  const starts = useStarts(units).data;
  const add = useMake<unknown, SampleView>("/samples", (sample) => ({ sample }));
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
        <p className="empty">No sample is sewn yet. One square of the layers and an hour save a cover.</p>
      )}
      <ul className="samples">
        {!offers.isPending &&
          !uses.isPending &&
          samples.data?.map((sample) => <One key={sample.id} sample={sample} units={units} />)}
      </ul>
    </div>
  );
}

function One({ sample, units }: { sample: SampleView; units: string }) {
  const say = useSay();
  const trying = useTrying();
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
  const away = useChange(() => takeAway(`/samples/${sample.id}`));
  const back = useChange(() => ask("POST", `/samples/${sample.id}/bring-back`, {}));
  const set = (path: string, value: unknown) =>
    void save.mutateAsync({ path, value }).then(
      () => setProblem(null),
      (error) => setProblem(sentence(error)),
    );
  const putAway = async () => {
    await away.mutateAsync(undefined);
    say(`${settled.title} is put away.`, { label: "Bring it back", act: () => back.mutateAsync(undefined) });
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
          <button type="button" className="word-button" onClick={() => void trying(putAway)}>
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
