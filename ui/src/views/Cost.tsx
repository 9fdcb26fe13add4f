import { Link } from "react-router";
import { Findings } from "../brief/Thread";
import { Value } from "../brief/Value";
import { useDrawn, usePlan, useReckoning } from "../plan/context";
import { Older } from "../sheet/Older";
import { T } from "../words/T";

/** What a plan costs with all its covers, and what to ask for them. */
export function Cost() {
  const { value } = usePlan();
  const reckoning = useReckoning();
  const drawn = useDrawn();
  const cost = reckoning.cost ?? drawn.cost;
  if (!cost) {
    return (
      <div className="page">
        <h1>What it costs</h1>
        <p className="empty">Nothing can be cut yet, so nothing can be counted.</p>
      </div>
    );
  }
  const covers = cost.covers === 1 ? "one cover" : `${cost.covers} covers`;
  return (
    <div className="page cost">
      <header className="page-head">
        <h1>What {reckoning.title || drawn.title} costs</h1>
        <button type="button" className="word-button no-print" onClick={() => window.print()}>
          Print it
        </button>
        <Link className="word-button no-print" to="../cut">
          Back to the cutting layouts
        </Link>
      </header>
      <Older />
      <p className="large">
        For {covers}, each with <Value path="/costs/minutes" label="Minutes of work on one cover" kind="count" />{" "}
        minutes of work at <Value path="/habits/wage" label="Wage of an hour" kind="count" /> an hour, in{" "}
        <Value path="/habits/currency" label="What money is called" kind="text" />, other costs of{" "}
        <Value path="/costs/other" label="Other costs of all covers" kind="count" /> for all of them, and{" "}
        <Value path="/habits/margin" label="Margin" kind="percent" /> on top.
      </p>
      <Findings of={reckoning.findings.filter((f) => f.level === "stop")} />
      <table className="methods cost-lines">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">How it comes about</th>
            <th scope="col">Cost</th>
          </tr>
        </thead>
        <tbody>
          {cost.lines.map((line) => (
            <tr key={`${line.name} ${line.how}`}>
              <th scope="row">{line.name}</th>
              <td>
                <T>{line.how}</T>
              </td>
              <td>{line.cost || "not said"}</td>
            </tr>
          ))}
        </tbody>
        <tbody className="sums">
          <Sum name="Materials" how="as far as prices are known" amount={cost.materials} />
          <Sum
            name="Work"
            how={`${cost.covers} × ${value("/costs/minutes") ?? 0} minutes at ${value("/habits/wage") ?? 0} an hour`}
            amount={cost.work}
          />
          <Sum name="Other" how="as said above" amount={cost.other} />
          <Sum name="Cost" how="materials, work and other" amount={cost.cost} strong />
          <Sum name="Margin" how="its percentage of the cost" amount={cost.margin} />
          <Sum name="Price" how="cost and margin" amount={cost.total} strong />
          {cost.covers > 1 && <Sum name="Each" how="the price shared out, rounded up" amount={cost.each} strong />}
        </tbody>
      </table>
      {cost.unpriced.length > 0 && (
        <p className="finding warn">
          Nobody said what these cost, and they count nothing: {cost.unpriced.join(", ")}. Say it in the{" "}
          <Link to="/cloth">cupboard</Link>.
        </p>
      )}
      <h2>Left out</h2>
      <ul className="left-out">
        {cost.left_out.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </div>
  );
}

function Sum({ name, how, amount, strong }: { name: string; how: string; amount: string; strong?: boolean }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td className="soft">{how}</td>
      <td>{strong ? <strong>{amount}</strong> : amount}</td>
    </tr>
  );
}
