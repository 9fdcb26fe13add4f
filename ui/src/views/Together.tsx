import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { Cut, TogetherView } from "../api/api.gen";
import { sentence } from "../api/client";
import { useTogether } from "../api/queries";
import { Swatch } from "../cloth/Swatch";
import { Lay } from "../lay/Lay";
import { outcome, Searching } from "../lay/Searching";
import { useSearch } from "../lay/useSearch";
import { pieces } from "../words/pieces";
import { Len, T } from "../words/T";
import { ChosenPlans } from "./ChosenPlans";

/** Several plans on one lay of a cloth. */
export function Together() {
  const [params, setParams] = useSearchParams();
  const cloth = params.get("cloth") ?? "";
  const together = useTogether(cloth, params.getAll("plan"));
  const choose = (plans: string[]) =>
    setParams([["cloth", cloth], ...plans.map((id) => ["plan", id] as [string, string])], { replace: true });
  return (
    <div className="page cutting">
      <header className="page-head">
        <h1>On one cutting layout of {cloth || "a fabric"}</h1>
        <Link className="word-button no-print" to="/cloth/shopping">
          What to buy
        </Link>
      </header>
      {together.isError && (
        <p className="finding stop" role="alert">
          {sentence(together.error)} <Link to="/cloth">Back to the cupboard</Link>
        </p>
      )}
      {together.data && !together.isError && (
        <Shared key={`${cloth} ${params.getAll("plan")}`} view={together.data} choose={choose} />
      )}
    </div>
  );
}

function Shared({ view, choose }: { view: TogetherView; choose: (plans: string[]) => void }) {
  const chosen = view.plans.filter((p) => p.chosen).map((p) => p.id);
  const [said, say] = useState<string | null>(null);
  const search = useSearch((found) => say(outcome(found)));
  const lay = search.view && search.view.lay.length.nm < view.lay.length.nm ? search.view.lay : view.lay;
  return (
    <>
      <div className="cloth-head">
        <Swatch of={view.swatch} width={56} height={44} />
        <div>
          <p>
            Laid together they take{" "}
            <strong>
              <Len of={view.need} />
            </strong>{" "}
            with the end squared; one by one, <Len of={view.apart} />.{" "}
            {view.saves.nm > 0 ? (
              <>
                That saves <Len of={view.saves} />, of one length in one piece.
              </>
            ) : (
              "Laying them together saves nothing."
            )}
          </p>
          {search.view && !search.view.done ? (
            <Searching view={search.view} stop={search.stop} />
          ) : (
            <p role="status">
              {said && <T>{`${said} `}</T>}
              {search.problem && <span className="stop-text">{search.problem} </span>}
              {!lay.certain && (
                <button
                  type="button"
                  className="word-button"
                  onClick={() => void search.begin({ cloth: view.cloth, plans: chosen })}
                >
                  Look for a shorter cutting layout
                </button>
              )}
            </p>
          )}
        </div>
      </div>
      <ChosenPlans
        plans={view.plans}
        legend="The plans that are cut from it"
        least="One plan at least is laid"
        choose={choose}
      />
      <div className="cloth-body">
        <Lay lay={lay} cuts={asCuts(view)} pieces={[]} strips={[]} swatch={view.swatch} />
        <ul className="things">
          {view.plans
            .filter((p) => p.chosen)
            .map((p) => (
              <li key={p.id}>
                <strong>{p.title}</strong>:{" "}
                <T>
                  {view.pieces
                    .filter((piece) => piece.plan === p.title)
                    .map(
                      (piece) =>
                        `${pieces(piece.count)}, ${piece.width.text} × ${piece.height.text} (${piece.title.toLowerCase()})`,
                    )
                    .join("; ")}
                </T>
              </li>
            ))}
        </ul>
      </div>
    </>
  );
}

/** The pieces as the drawing of a lay names them. */
const asCuts = (view: TogetherView) =>
  view.pieces.map(
    (p) => ({ id: `${p.plan} ${p.title}`, title: `${p.title}, ${p.plan}`, width: p.width, height: p.height }) as Cut,
  );
