import { useId } from "react";
import type { SampleDoc } from "./doc";

/** What kind of sample it is: before, dashed, and once it is measured, after. It is not to scale. */
export function SampleDrawing({ sample }: { sample: SampleDoc }) {
  const Drawn = drawings[sample.kind];
  return (
    <svg className="sample-drawing" viewBox="0 0 120 120" aria-hidden="true">
      {Drawn && (
        <Drawn
          measured={(sample.after ?? []).length > 0}
          angles={(sample.quilting?.lines ?? []).map((l) => l.angle ?? 0)}
        />
      )}
    </svg>
  );
}

interface Props {
  measured: boolean;
  angles: number[];
}

const drawings: Record<string, (props: Props) => React.ReactNode> = {
  quilting: Square,
  wash: Square,
  gather: ({ measured }) => (
    <>
      <rect className="before" x="8" y="42" width="104" height="36" />
      {measured && (
        <>
          <rect className="after" x="8" y="42" width="46" height="36" />
          <path className="lines" d={[14, 20, 26, 32, 38, 44, 50].map((x) => `M${x} 42c3 12 -3 24 0 36`).join("")} />
        </>
      )}
    </>
  ),
  strips: () => (
    <>
      {[14, 46, 78].map((x) => (
        <rect key={x} className="after" x={x} y="16" width="28" height="88" />
      ))}
      <path className="lines" d="M44 16V104M76 16V104" />
    </>
  ),
};

function Square({ measured, angles }: Props) {
  const id = useId();
  const [inset, side] = measured ? [14, 92] : [8, 104];
  return (
    <>
      <clipPath id={id}>
        <rect x={inset} y={inset} width={side} height={side} />
      </clipPath>
      <rect className="before" x="8" y="8" width="104" height="104" />
      <rect className="after" x={inset} y={inset} width={side} height={side} />
      <g clipPath={`url(#${id})`}>
        {angles.map((angle) => (
          <path
            key={angle}
            className="lines"
            transform={`rotate(${-angle} 60 60)`}
            d={[-60, -42, -24, -6, 12, 30, 48].map((y) => `M-40 ${63 + y}H160`).join("")}
          />
        ))}
      </g>
    </>
  );
}
