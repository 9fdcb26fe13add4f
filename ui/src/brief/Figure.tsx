/** Where to hold the tape, drawn small: the tape in the thread's colour. */
export function Figure({ kind }: { kind: string }) {
  const figure = figures[kind];
  if (!figure) return null;
  return (
    <svg className="figure" viewBox="0 0 220 96" role="img" aria-label={figure.says}>
      <g className="figure-thing">{figure.thing}</g>
      <g className="figure-tape">{figure.tape}</g>
      {figure.names.map(([x, y, name]) => (
        <text key={name} x={x} y={y}>
          {name}
        </text>
      ))}
    </svg>
  );
}

interface Drawing {
  says: string;
  thing: React.ReactNode;
  tape: React.ReactNode;
  names: [number, number, string][];
}

const figures: Record<string, Drawing> = {
  box: {
    says: "A box with a knob: the tape goes along the front from side to side and over the knob, from front to back, and up the side.",
    thing: (
      <>
        <path d="M60 36 H150 V80 H60 Z" />
        <path d="M60 36 L88 14 H178 L150 36 Z" />
        <path d="M150 36 L178 14 V58 L150 80 Z" />
        <path d="M178 34 h9 v10 h-9 Z" />
      </>
    ),
    tape: <path d="M60 88 H187 M54 36 V80 M52 31 L82 8" />,
    names: [
      [92, 76, "length"],
      [8, 62, "height"],
      [24, 18, "depth"],
    ],
  },
  book: {
    says: "A closed book from above its spine: the tape leads from one fore-edge round the spine to the other, and up the height.",
    thing: <path d="M60 26 H150 M60 62 H150 M60 26 C48 26 48 62 60 62 M66 32 H148 M66 56 H148 M150 26 V32 M150 62 V56" />,
    tape: <path d="M152 20 H58 C40 20 40 68 58 68 H152" />,
    names: [
      [78, 48, "closed book"],
      [158, 24, "from here"],
      [158, 72, "to here"],
    ],
  },
  flat: {
    says: "Something flat: the tape goes across the middle and up the middle.",
    thing: <rect x="50" y="12" width="110" height="70" rx="3" />,
    tape: <path d="M50 47 H160 M105 12 V82" />,
    names: [
      [112, 42, "across"],
      [110, 74, "up"],
    ],
  },
};
