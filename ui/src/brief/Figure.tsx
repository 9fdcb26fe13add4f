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
    thing: (
      <path d="M60 26 H150 M60 62 H150 M60 26 C48 26 48 62 60 62 M66 32 H148 M66 56 H148 M150 26 V32 M150 62 V56" />
    ),
    tape: <path d="M152 20 H58 C40 20 40 68 58 68 H152" />,
    names: [
      [78, 48, "closed book"],
      [158, 24, "from here"],
      [158, 72, "to here"],
    ],
  },
  binder: {
    says: "A ring binder from above its spine: one board, the spine, and the height are measured apart.",
    thing: <path d="M56 24 H156 M56 64 H156 M56 24 V64 M62 30 H150 M62 58 H150 M100 30 V58 M112 30 V58" />,
    tape: <path d="M58 15 H156 M47 25 V63" />,
    names: [
      [88, 10, "board"],
      [2, 48, "spine"],
    ],
  },
  form: {
    says: "A cushion insert: the tape goes across the middle, over the swell, and up the middle.",
    thing: <path d="M52 14 C90 22 130 22 168 14 C162 38 162 56 168 82 C130 74 90 74 52 82 C58 56 58 38 52 14 Z" />,
    tape: <path d="M57 48 H163 M110 20 V76" />,
    names: [
      [120, 43, "across"],
      [116, 70, "up"],
    ],
  },
  "form-thick": {
    says: "A thick insert: the tape goes across, up, and through its side for the thickness.",
    thing: (
      <>
        <path d="M40 40 L80 14 H182 L142 40 Z" />
        <path d="M40 40 H142 V64 H40 Z" />
        <path d="M142 40 L182 14 V38 L142 64 Z" />
      </>
    ),
    tape: <path d="M40 73 H142 M148 68 L188 42 M33 40 V64" />,
    names: [
      [72, 90, "across"],
      [176, 66, "up"],
      [2, 30, "thick"],
    ],
  },
  round: {
    says: "Something round: the tape goes across its middle.",
    thing: <circle cx="110" cy="48" r="40" />,
    tape: <path d="M70 48 H150" />,
    names: [[92, 42, "across"]],
  },
  "round-thick": {
    says: "A thick round insert: the tape goes across its middle, and through its side for the thickness.",
    thing: <path d="M66 34 V62 C66 92 154 92 154 62 V34 M66 34 C66 10 154 10 154 34 C154 58 66 58 66 34 Z" />,
    tape: <path d="M66 34 H154 M163 34 V62" />,
    names: [
      [92, 29, "across"],
      [170, 52, "thick"],
    ],
  },
  found: {
    says: "A finished panel: the tape goes across its middle and up its middle, as it lies.",
    thing: <path d="M50 12 H160 V82 H50 Z M58 20 H152 V74 H58 Z" />,
    tape: <path d="M58 47 H152 M105 20 V74" />,
    names: [
      [112, 42, "across"],
      [110, 70, "up"],
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
