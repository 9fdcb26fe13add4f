/** How a square of ground cloth becomes a unit, fold by fold. */
export function FoldFigure() {
  return (
    <figure className="step-drawing">
      <svg
        viewBox="0 0 232 232"
        role="img"
        aria-label="A square folded in four stages: hem, corners to the middle, corners again, a window over the join"
      >
        {stages.map(({ name, paper, lines }, i) => (
          <g key={name} transform={`translate(${8 + (i % 2) * 116} ${8 + Math.floor(i / 2) * 116})`}>
            <path className="fold-cloth" d={paper} />
            <path className="fold-line" d={lines} />
            <text className="fold-name" x="0" y="106">
              {`${i + 1} ${name}`}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}

/** Each stage: the shape of the cloth, and the edges and folds that show on it. */
const stages = [
  { name: "edges in", paper: "M0 0H92V92H0Z", lines: "M7 7H85V85H7Z M0 0L7 7 M92 0L85 7 M92 92L85 85 M0 92L7 85" },
  { name: "corners to the middle", paper: "M46 0L92 46L46 92L0 46Z", lines: "M46 0V92 M0 46H92" },
  { name: "and once more", paper: "M23 23H69V69H23Z", lines: "M23 23L69 69 M69 23L23 69" },
  {
    name: "a patch over the join",
    paper: "M0 23H46V69H0Z M46 23H92V69H46Z",
    lines: "M0 23L46 69 M46 23L0 69 M46 69L92 23 M92 69L46 23 M46 28L64 46L46 64L28 46Z",
  },
];
