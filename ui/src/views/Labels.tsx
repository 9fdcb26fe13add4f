import { Link } from "react-router";
import { Swatch } from "../cloth/Swatch";
import { SendTo } from "../devices/SendTo";
import { useDrawn, usePlan, useReckoning } from "../plan/context";
import { swatchesOf } from "../plan/swatches";
import { Older } from "../sheet/Older";
import { Len } from "../words/T";

/** A label for every pile of pieces alike, to be printed and cut apart. */
export function Labels() {
  const { value } = usePlan();
  const reckoning = useReckoning();
  const drawn = useDrawn();
  const shown = reckoning.cuts.length > 0 ? reckoning : drawn;
  const swatches = swatchesOf(value("/cloths"));
  return (
    <div className="page">
      <header className="page-head no-print">
        <h1>Labels for the piles</h1>
        <button type="button" className="word-button" onClick={() => window.print()}>
          Print the labels
        </button>
        <SendTo kind="printer" job={{ sort: "labels" }} what="The labels" />
        <Link className="word-button" to="../sew">
          Back to the steps
        </Link>
      </header>
      <Older />
      <ul className="labels">
        {shown.cuts.map((cut) => (
          <li key={cut.id}>
            <Swatch of={swatches[cut.cloth]} width={44} height={36} />
            <div>
              <strong>{cut.title}</strong>
              <span className="label-size">
                {cut.total} × <Len of={cut.width} by={cut.height} />
              </span>
              <span className="soft">
                {String(value(`/cloths/${cut.cloth}/name`) ?? cut.cloth)}, {shown.title}
              </span>
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}
