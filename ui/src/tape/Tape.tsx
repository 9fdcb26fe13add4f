import type { L, Term } from "../api/api.gen";
import { Len, T } from "../words/T";
import { groups, segments } from "./terms";

interface Props {
  /** What the sum is of. */
  title: string;
  terms: Term[];
  total: L;
  lit: number | null;
  light: (index: number | null) => void;
  /** What else can be had of it, beside its title. */
  aside?: React.ReactNode;
}

/** A size as its sum, drawn to scale like a tape: one segment a term. */
export function Tape({ title, terms, total, lit, light, aside }: Props) {
  const laid = segments(terms);
  const length = Math.max(...laid.map((s) => s.to), 1);
  const share = (nm: number) => `${(100 * nm) / length}%`;
  return (
    <div className="tape">
      <div className="tape-head">
        <span>{title}</span>
        {aside}
        <strong className="tape-total">
          <Len of={total} />
        </strong>
      </div>
      <div className="tape-band" aria-hidden="true">
        {laid.map((s, i) => (
          <span
            // biome-ignore lint/suspicious/noArrayIndexKey: terms have no identity but their place
            key={i}
            className={`seg ${s.term.kind}${s.back ? " back" : ""}${lit === i ? " lit" : ""}`}
            style={{ left: share(s.from), width: share(s.to - s.from) }}
            title={`${s.term.term}: ${s.term.amount.exact}`}
            onPointerEnter={() => light(i)}
            onPointerLeave={() => light(null)}
          >
            {(s.to - s.from) / length > 0.055 && (
              <span>
                <T>{s.term.amount.text}</T>
              </span>
            )}
          </span>
        ))}
      </div>
      <ol className="tape-sum" aria-label={`The sum of ${title}`}>
        {groups(terms).map((g, i) => (
          <li
            key={g.first}
            className={lit !== null && lit >= g.first && lit < g.first + g.count ? "lit" : undefined}
            onPointerEnter={() => light(g.first)}
            onPointerLeave={() => light(null)}
          >
            <span className="sign">{i === 0 ? "" : g.term.amount.nm < 0 ? "− " : "+ "}</span>
            <strong>
              {g.count > 1 && `${g.count} × `}
              <Len of={i === 0 ? g.term.amount : { ...g.term.amount, text: g.term.amount.text.replace("−", "") }} />
            </strong>{" "}
            <span className="soft">{g.term.term}</span>
          </li>
        ))}
        <li>
          <span className="sign">= </span>
          <strong>
            <Len of={total} />
          </strong>
        </li>
      </ol>
    </div>
  );
}
