interface Chosen {
  id: string;
  title: string;
  chosen: boolean;
}

/** Plans to choose among; one at least stays chosen. */
export function ChosenPlans({
  plans,
  legend,
  least,
  choose,
  only,
}: {
  plans: Chosen[];
  legend: string;
  /** Why the last one cannot be left out. */
  least: string;
  choose: (ids: string[]) => void;
  /** Each can also be chosen by itself. */
  only?: boolean;
}) {
  const chosen = plans.filter((p) => p.chosen).map((p) => p.id);
  const tick = (id: string, on: boolean) =>
    choose(plans.map((p) => p.id).filter((other) => (other === id ? on : chosen.includes(other))));
  return (
    <fieldset className="shopped-for no-print">
      <legend className="soft">{legend}</legend>
      {plans.map((p) => {
        const last = p.chosen && chosen.length === 1;
        return (
          <div key={p.id}>
            <label>
              <input
                type="checkbox"
                checked={p.chosen}
                disabled={last}
                title={last ? least : undefined}
                onChange={(e) => tick(p.id, e.target.checked)}
              />{" "}
              {p.title}
            </label>{" "}
            {only && (
              <button type="button" className="word-button" onClick={() => choose([p.id])}>
                only this<span className="sr-only">: {p.title}</span>
              </button>
            )}
          </div>
        );
      })}
      {only && (
        <button type="button" className="word-button" onClick={() => choose([])}>
          All plans
        </button>
      )}
    </fieldset>
  );
}
