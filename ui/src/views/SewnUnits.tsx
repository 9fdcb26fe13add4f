import { useState } from "react";
import type { UnitsView } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import { takeAway } from "../api/once";
import { useChange, useMake, useNotions, useUnits } from "../api/queries";
import { Swatch } from "../cloth/Swatch";
import { useSay } from "../shell/Say";
import { T } from "../words/T";

/** Units in the cupboard. */
export function CupboardUnits() {
  const units = useUnits();
  const above = useNotions(); // what lies above them moves nothing when it comes
  if (above.isPending || !units.data || units.data.length === 0) return null;
  return (
    <section aria-labelledby="units">
      <h2 className="kind" id="units">
        Units left from covers
      </h2>
      <ul className="notions">
        {units.data.map((u) => (
          <UnitsRow key={u.id} units={u} />
        ))}
      </ul>
    </section>
  );
}

function UnitsRow({ units }: { units: UnitsView }) {
  const say = useSay();
  const [problem, setProblem] = useState<string | null>(null);
  const count = useChange((n: number) => ask("PUT", `/units/${units.id}`, { base: units.revision, count: n }));
  const remove = useChange(() => takeAway(`/units/${units.id}`));
  const back = useMake("/units", (doc: unknown) => ({ units: doc }));
  const trying = async (change: () => Promise<unknown>) => {
    setProblem(null);
    try {
      await change();
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const takeOut = async () => {
    await remove.mutateAsync(undefined);
    say(`${units.count} ${units.name} are out of the cupboard.`, {
      label: "Put them back",
      act: () => back.mutateAsync(units.units),
    });
  };
  return (
    <li className="notion-row">
      <span className="unit-cloths" aria-hidden="true">
        {units.swatches.map((s) => (
          <Swatch key={`${s.ground} ${s.ink} ${s.motif}`} of={s} width={20} height={20} />
        ))}
      </span>
      <span>
        <strong>
          {units.count} {units.name}
        </strong>
        , <T>{units.says}</T>
        {problem && (
          <span className="finding stop" role="alert">
            {problem}
          </span>
        )}
      </span>
      <span className="row-actions">
        <button
          type="button"
          className="word-button"
          disabled={units.count < 2}
          onClick={() => void trying(() => count.mutateAsync(units.count - 1))}
        >
          One less<span className="sr-only">: {units.name}</span>
        </button>
        <button
          type="button"
          className="word-button"
          disabled={units.count >= 2000}
          onClick={() => void trying(() => count.mutateAsync(units.count + 1))}
        >
          One more<span className="sr-only">: {units.name}</span>
        </button>
        <button type="button" className="word-button" onClick={() => void trying(takeOut)}>
          Remove<span className="sr-only"> {units.name}</span>
        </button>
      </span>
    </li>
  );
}
