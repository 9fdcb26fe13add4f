import { Fragment } from "react";
import { runs } from "./fractions";

/** Text whose fractions are set as real ones: only the fraction itself. In a drawing its parts are those of a drawing. */
export function T({ children, as: Part = "span" }: { children: string; as?: "span" | "tspan" }) {
  return (
    <>
      {runs(children).map((run, i) =>
        "text" in run ? (
          // biome-ignore lint/suspicious/noArrayIndexKey: the runs of a text have no identity but their place
          <Fragment key={i}>{run.text}</Fragment>
        ) : (
          // biome-ignore lint/suspicious/noArrayIndexKey: as above
          <Part key={i} className="frac">
            {run.top}/{run.under}
          </Part>
        ),
      )}
    </>
  );
}

/** A size as shown; the exact value is one hover away where it is rounded. */
export function Len({ of, by }: { of: { text: string; exact: string }; by?: { text: string; exact: string } }) {
  const rounded = [of, by].some((l) => l?.text.startsWith("≈"));
  const exact = by ? `${of.exact} × ${by.exact}` : of.exact;
  return (
    <span className="len" title={rounded ? `exactly ${exact}` : undefined}>
      <T>{by ? `${of.text} × ${by.text}` : of.text}</T>
    </span>
  );
}
