import { Link, useSearchParams } from "react-router";
import type { ShoppingCloth, ShoppingPlan, ShoppingShare, ShoppingThing, ShoppingView } from "../api/api.gen";
import { sentence } from "../api/client";
import { useShopping } from "../api/queries";
import { Len, T } from "../words/T";
import { ChosenPlans } from "./ChosenPlans";

/** What to buy for the plans of the shelf, or for those that are chosen. */
export function Shopping() {
  const [params, setParams] = useSearchParams();
  const shopping = useShopping(params.getAll("plan"));
  return (
    <div className="page">
      <header className="page-head">
        <h1>What to buy</h1>
        <button type="button" className="word-button no-print" onClick={() => window.print()}>
          Print the list
        </button>
        <a className="word-button no-print" href={`/api/v1/shopping.csv?${params}`} download>
          Download as CSV
        </a>
        <Link className="word-button no-print" to="/cloth">
          Back to the cupboard
        </Link>
      </header>
      {shopping.isError && (
        <p className="finding stop" role="alert">
          {sentence(shopping.error)}{" "}
          <button type="button" className="word-button" onClick={() => setParams({})}>
            Shop for all plans
          </button>
        </p>
      )}
      {shopping.data && !shopping.isError && (
        <List view={shopping.data} choose={(plan) => setParams({ plan }, { replace: true })} />
      )}
    </div>
  );
}

function List({ view, choose }: { view: ShoppingView; choose: (ids: string[]) => void }) {
  if (view.plans.length === 0) {
    return <p className="empty">No plan on the shelf takes any fabric: there is nothing to buy.</p>;
  }
  const bought = view.cloths.filter((c) => c.buy_text);
  const rest = view.cloths.filter((c) => !c.buy_text);
  return (
    <>
      <Plans plans={view.plans} choose={choose} />
      <section aria-labelledby="to-buy">
        <h2 id="to-buy">To buy</h2>
        {bought.length === 0 ? (
          <p className="empty">The cupboard has enough of every fabric.</p>
        ) : (
          <Cloths of={bought} buying />
        )}
      </section>
      {rest.length > 0 && (
        <section aria-labelledby="in-the-cupboard">
          <h2 id="in-the-cupboard">In the cupboard</h2>
          <Cloths of={rest} />
        </section>
      )}
      {view.things.length > 0 && (
        <section aria-labelledby="beside-cloth">
          <h2 id="beside-cloth">Beside fabric</h2>
          <Things of={view.things} />
        </section>
      )}
      {view.passed.length > 0 && (
        <section aria-labelledby="passed">
          <h2 id="passed">Units one leaves another</h2>
          <ul>
            {view.passed.map((text) => (
              <li key={text}>
                <T>{text}</T>
              </li>
            ))}
          </ul>
        </section>
      )}
      {view.cost && (
        <p className="large">
          As far as prices are known, that costs <strong>{view.cost}</strong>.
          {view.unpriced.length > 0 && (
            <span className="soft"> Nobody said what these cost: {view.unpriced.join(", ")}.</span>
          )}
        </p>
      )}
    </>
  );
}

/** Which plans are shopped for; one at least. */
function Plans({ plans, choose }: { plans: ShoppingPlan[]; choose: (ids: string[]) => void }) {
  const chosen = plans.filter((p) => p.chosen).length;
  return (
    <details className="no-print">
      <summary>
        {chosen === plans.length ? `For all ${plans.length} plans` : `For ${chosen} of ${plans.length} plans`}
      </summary>
      <ChosenPlans
        plans={plans}
        legend="The plans first in the list are the first to get what is in the cupboard."
        least="One plan at least is shopped for"
        choose={choose}
        only
      />
    </details>
  );
}

/** Cloths with what there is, what is needed and what is bought. */
function Cloths({ of, buying }: { of: ShoppingCloth[]; buying?: boolean }) {
  return (
    <table className="methods shopping">
      <thead>
        <tr>
          <th scope="col">Fabric</th>
          <th scope="col">Have</th>
          <th scope="col">Need</th>
          <th scope="col">{buying ? "Buy" : "Left"}</th>
          {buying && <th scope="col">Cost</th>}
          <th scope="col">For</th>
        </tr>
      </thead>
      <tbody>
        {of.map((c) => (
          <tr key={c.name}>
            <th scope="row">{c.name}</th>
            <td>{c.have ? <Len of={c.have} /> : "not said"}</td>
            <td>
              <Len of={c.need} />
            </td>
            <td>
              {buying ? (
                <strong>
                  <T>{c.buy_text}</T>
                </strong>
              ) : (
                <Len of={c.left} />
              )}
            </td>
            {buying && <td>{c.cost || "not said"}</td>}
            <td>
              <Shares of={c.shares} />
              {c.shares.length > 1 && (
                <Link
                  className="word-button no-print"
                  to={`/cloth/together?${new URLSearchParams([["cloth", c.name]])}`}
                >
                  Lay them together<span className="sr-only"> on {c.name}</span>
                </Link>
              )}
              {c.instead.length > 0 && (
                <ul className="instead">
                  {c.instead.map((text) => (
                    <li key={text}>
                      <T>{text}</T>
                    </li>
                  ))}
                </ul>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const sources = [
  { from: "shop", each: "to buy, each in one piece", one: "to buy in one piece" },
  { from: "cupboard", each: "from the cupboard", one: "from the cupboard" },
  { from: "own", each: "of their own", one: "of its own" },
];

/** Where the plans have a cloth from, those that buy it first. */
function Shares({ of }: { of: ShoppingShare[] }) {
  return sources.map(({ from, each, one }) => {
    const mine = of.filter((s) => s.from === from);
    if (mine.length === 0) return null;
    return (
      <div key={from}>
        <span className="soft">{mine.length > 1 ? each : one}: </span>
        <T>{mine.map(shareText).join(", ")}</T>
      </div>
    );
  });
}

function shareText(s: ShoppingShare): string {
  const odd = s.odd === 0 ? "" : s.odd === 1 ? "1 offcut" : `${s.odd} offcuts`;
  return `${s.plan} ${[s.need.nm > 0 ? s.need.text : "", odd].filter(Boolean).join(" and ")}`;
}

/** What is bought beside cloth: thread, zips, tape, cord, buttons. */
function Things({ of }: { of: ShoppingThing[] }) {
  return (
    <table className="methods shopping">
      <thead>
        <tr>
          <th scope="col">What</th>
          <th scope="col">Have</th>
          <th scope="col">Need</th>
          <th scope="col">Buy</th>
          <th scope="col">Cost</th>
          <th scope="col">For</th>
        </tr>
      </thead>
      <tbody>
        {of.map((t) => (
          <tr key={`${t.what} ${t.need}`}>
            <th scope="row">
              {t.what}
              {t.notion && <span className="soft">, {t.notion}</span>}
            </th>
            <td>
              <T>{t.have || "not said"}</T>
            </td>
            <td>
              <T>{t.need}</T>
            </td>
            <td>{t.buy ? <strong>{<T>{t.buy}</T>}</strong> : "nothing"}</td>
            <td>{t.cost || (t.buy ? "not said" : "")}</td>
            <td className="soft">{t.plans.join(", ")}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
