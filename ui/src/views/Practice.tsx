import Button from "@mui/material/Button";
import { useEffect, useRef, useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { PracticeResult, PracticeView } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import { usePractice, useShelf } from "../api/queries";
import { refusalAt } from "../api/refusal";
import { T } from "../words/T";

/** Short exercises for what goes wrong most, each with its sum afterwards. */
export function Practice() {
  const [params, setParams] = useSearchParams();
  const kind = params.get("kind") ?? "cut";
  const plan = params.get("plan") ?? "";
  const number = Number(params.get("number") ?? "1") || 1;
  const practice = usePractice(kind, number, plan);
  const shelf = useShelf().data ?? [];
  const to = (next: { kind?: string; plan?: string; number?: number }) => {
    const all = { kind, plan, number: number + 1, ...next };
    setParams({ kind: all.kind, number: String(all.number), ...(all.plan && { plan: all.plan }) });
  };
  const view = practice.data;
  return (
    <div className="page practice">
      <header className="page-head">
        <h1>Practice</h1>
        <Link className="word-button" to="/habits">
          Back to the habits
        </Link>
      </header>
      {practice.isError && (
        <p className="finding stop" role="alert">
          {sentence(practice.error)}{" "}
          <button type="button" className="word-button" onClick={() => setParams({})}>
            Begin again
          </button>
        </p>
      )}
      {view && !practice.isError && (
        <>
          <ul className="practice-kinds">
            {view.kinds.map((k) => (
              <li key={k.kind}>
                <button
                  type="button"
                  className="word-button"
                  aria-pressed={plan === "" && view.kind === k.kind}
                  onClick={() => to({ kind: k.kind, plan: "" })}
                >
                  {k.title}
                </button>{" "}
                <span className="soft">
                  {k.tried === 0 ? "not tried yet" : `${k.right} of ${k.tried} right, ${k.run} in a row`}
                </span>
              </li>
            ))}
          </ul>
          <label>
            <span className="soft">On the sizes of one of your plans:</span>{" "}
            <select value={plan} onChange={(e) => to({ plan: e.target.value, kind: "cut" })}>
              <option value="">made up</option>
              {shelf.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.title}
                </option>
              ))}
            </select>
          </label>
          <Exercise
            key={`${view.kind} ${view.plan} ${view.number}`}
            view={view}
            next={() => to({})}
            answered={() => void practice.refetch()}
          />
        </>
      )}
    </div>
  );
}

function Exercise({ view, next, answered }: { view: PracticeView; next: () => void; answered: () => void }) {
  const [text, setText] = useState("");
  const [result, setResult] = useState<PracticeResult | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => input.current?.focus(), []);
  const check = async () => {
    try {
      setProblem(null);
      setResult(
        await ask<PracticeResult>("POST", "/practice", {
          kind: view.kind,
          number: view.number,
          answer: text,
          ...(view.plan && { plan: view.plan }),
        }),
      );
      answered();
    } catch (error) {
      setProblem(refusalAt(error).text);
    }
  };
  return (
    <form
      className="exercise"
      aria-label="An exercise"
      onSubmit={(e) => {
        e.preventDefault();
        if (result) next();
        else void check();
      }}
    >
      <p className="large">
        <T>{view.question}</T>
      </p>
      {view.mark > 0 && <TapePicture mark={view.mark} step={view.step} />}
      <label className="line-field">
        <span>Your answer</span>
        <input
          ref={input}
          value={text}
          readOnly={result !== null}
          onChange={(e) => setText(e.target.value)}
          placeholder="4 1/2"
        />
      </label>
      {problem && (
        <p className="finding stop" role="alert">
          <T>{problem}</T>
        </p>
      )}
      <div role="status">
        {result && (
          <>
            <p className={result.right ? "good-text large" : "warn-text large"}>
              <T>{result.right ? `Right: ${result.answer.text}.` : `It is ${result.answer.text}. ${result.slip}`}</T>
            </p>
            <ul className="practice-sum" aria-label="How it comes about">
              {result.sum.map((term) => (
                <li key={`${term.term} ${term.amount.nm}`}>
                  <T>{`${term.amount.text}`}</T> <span className="soft">{term.term}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
      <div className="row-actions">
        <Button type="submit" variant="contained">
          {result ? "The next one" : "Is it right?"}
        </Button>
      </div>
    </form>
  );
}

/** A piece of a tape with a mark on it, its lines as long as they are coarse. */
function TapePicture({ mark, step }: { mark: number; step: number }) {
  const inches = step * 8 > 25_000_000;
  const whole = inches ? 25_400_000 : 10_000_000;
  const first = Math.max(0, Math.floor(mark / whole) - 1);
  const lines = Math.round((3 * whole) / step);
  const x = (nm: number) => ((nm - first * whole) / (3 * whole)) * 600;
  const long = (i: number) => {
    const per = Math.round(whole / step);
    if (i % per === 0) return 46;
    if (i % (per / 2) === 0) return 34;
    return inches && i % (per / 4) === 0 ? 24 : 15;
  };
  return (
    <svg className="practice-tape" viewBox="-10 -40 620 110" role="img" aria-label="A tape with a mark on it">
      <rect className="tape-ground" x="0" y="0" width="600" height="60" />
      {Array.from({ length: lines + 1 }, (_, i) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: the lines of a tape have no identity but their place
          key={i}
          x1={x(first * whole + i * step)}
          x2={x(first * whole + i * step)}
          y1="0"
          y2={long(i)}
          className="tape-line"
        />
      ))}
      {[0, 1, 2].map((n) => (
        <text key={n} x={x((first + n) * whole) + 4} y="56" fontSize="16">
          {first + n}
        </text>
      ))}
      <path className="tape-mark" d={`M${x(mark)} 0 L${x(mark) - 9} -24 H${x(mark) + 9} Z`} />
    </svg>
  );
}
