/** What was decided of other kinds and is kept: to be brought back, or forgotten. */
export function Aside({
  kept,
  of,
  name,
  bring,
  drop,
}: {
  kept: Record<string, unknown> | undefined;
  /** What they are kinds of, as in: the front. */
  of: string;
  name: (kind: string) => string;
  bring: (kind: string) => void;
  drop: (kind: string) => void;
}) {
  const kinds = Object.keys(kept ?? {});
  if (kinds.length === 0) return null;
  return (
    <p className="soft aside">
      Kept aside:{" "}
      {kinds.map((kind, i) => (
        <span key={kind}>
          {i > 0 && "; "}
          {name(kind)},{" "}
          <button type="button" className="word-button" onClick={() => bring(kind)}>
            bring back<span className="sr-only">{` ${name(kind)}, ${of}`}</span>
          </button>
          {" or "}
          <button type="button" className="word-button" onClick={() => drop(kind)}>
            forget<span className="sr-only">{` ${name(kind)}, ${of}`}</span>
          </button>
        </span>
      ))}
      .
    </p>
  );
}
