import type { Outlook as OutlookData } from "../../api/api.gen";
import { useOf } from "../../plan/context";
import { T } from "../../words/T";
import { useFace } from "./context";

const percent = (n: number) => `${n < 1 ? "under 1" : n > 99 ? "over 99" : Math.round(n)}%`;

/** How true a pieced panel is likely to come out, and what would help. */
export function Outlook() {
  const { config } = useFace();
  const list = useOf((s) => s.drawn.pieces.find((p) => p.config === config)?.outlook);
  if (!list?.length) return null;
  return (
    <details className="outlook">
      <summary>How true it is likely to come out</summary>
      {list.map((o) => (
        <One key={o.direction} of={o} />
      ))}
    </details>
  );
}

function One({ of: o }: { of: OutlookData }) {
  const off =
    o.mean.nm === 0
      ? "as planned on average"
      : `${o.mean.text.replace("−", "")} ${o.mean.nm < 0 ? "short" : "over"} on average`;
  return (
    <div>
      <p>
        <T>{`${o.direction === "across" ? "Across" : "Up"}, ${o.seams} seams and ${o.cuts} cuts, ${o.from}: ${off}, give or take ${o.sd.text}.`}</T>{" "}
        <strong>
          <T>{`Within ${o.tolerance.text}: ${percent(o.chance)}.`}</T>
        </strong>{" "}
        {o.from_seams > 0 && `${Math.round(o.from_seams)}% of the spread is from seams, the rest from cutting.`}
      </p>
      <Bell of={o} />
      {o.buys.length > 0 && (
        <ul>
          {o.buys.map((b) => (
            <li key={b.what}>
              {b.what}: <strong>{percent(b.chance)}</strong>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** The error as a curve over the tape, and what can be taken up as a band. */
function Bell({ of: o }: { of: OutlookData }) {
  const [mean, sd, tolerance] = [o.mean.nm, Math.max(o.sd.nm, 1), o.tolerance.nm];
  const reach = Math.max(tolerance * 1.4, Math.abs(mean) + 3 * sd);
  const x = (nm: number) => 110 + (100 * nm) / reach;
  const points = Array.from({ length: 61 }, (_, i) => {
    const nm = -reach + (2 * reach * i) / 60;
    return `${x(nm).toFixed(1)} ${(40 - 34 * Math.exp(-(((nm - mean) / sd) ** 2) / 2)).toFixed(1)}`;
  });
  return (
    <svg className="bell" viewBox="0 0 220 46" aria-hidden="true">
      <rect className="room" x={x(-tolerance)} y="2" width={x(tolerance) - x(-tolerance)} height="38" />
      <path className="curve" d={`M${points.join("L")}`} />
      <path className="axis-line" d="M6 40H214M110 36V44" />
    </svg>
  );
}
