import { Link } from "react-router";
import type { PlanView, SampleUse, SampleView } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import { useChange, useSampleUses } from "../api/queries";
import { put } from "../plan/path";
import { useSay } from "../shell/Say";
import { T } from "../words/T";

/** The plans it is used in, and what it would change in the others. */
export function Uses({ sample, title }: { sample: SampleView; title: string }) {
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
