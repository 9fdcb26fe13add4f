import type { Piece, Reckoning } from "../api/api.gen";
import { usePlan, useShownSum } from "../plan/context";
import { Len, T } from "../words/T";

/** The threads that sew the shapes of a piece, in working order, each with its sum. */
export function Stitches({
  piece,
  reckoning,
  thread,
  point,
}: {
  piece: Piece;
  reckoning: Reckoning;
  /** The thread shown on the sheet. */
  thread: number | null;
  point: (thread: number | null) => void;
}) {
  const { value, id } = usePlan();
  const name = (letter: string) => String(value(`/cloths/${letter}/name`) ?? letter);
  const file = (as: string) => `/api/v1/plans/${id}/shapes/${piece.name}?as=${as}`;
  return (
    <section className="stitches" aria-label="Stitched edges of the shapes">
      <ol>
        {piece.threads.map((t, i) => (
          <li key={`${t.cloth} ${t.stitch} ${t.late}`}>
            <button type="button" aria-pressed={thread === i} onClick={() => point(thread === i ? null : i)}>
              <span className="stitch-count">{i + 1}</span>
              <span>
                <strong>
                  {t.darker ? "darker than " : ""}
                  {name(t.cloth)}, {t.stitch}
                </strong>
                {t.late && ", late"}{" "}
                <span className="soft">
                  <SeamSum of={`${piece.name}.thread.${i + 1}`} reckoning={reckoning} />
                </span>{" "}
                = <Len of={t.seam} />; takes <Len of={t.length} /> of thread
              </span>
            </button>
          </li>
        ))}
      </ol>
      <p className="soft">
        Full lines are sewn, dotted ones lie under another shape and are not.{" "}
        <a className="word-button" href={file("templates")}>
          Templates as SVG
        </a>{" "}
        ·{" "}
        <a className="word-button" href={file("drawing")}>
          The shapes as they lie
        </a>
      </p>
    </section>
  );
}

/** What the seam of a thread adds up from. */
function SeamSum({ of, reckoning }: { of: string; reckoning: Reckoning }) {
  useShownSum(of);
  return (reckoning.sums[of] ?? []).map((term, k) => (
    <span key={`${term.term} ${term.amount.nm}`}>
      {k > 0 && " + "}
      {term.term.toLowerCase()} <T>{term.amount.text}</T>
    </span>
  ));
}
