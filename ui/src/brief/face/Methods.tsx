import { useOf } from "../../plan/context";
import { T } from "../../words/T";
import { School } from "../School";
import { useFace } from "./context";

/** How the triangles of the blocks are cut, the ways side by side. */
export function Methods() {
  const { config } = useFace();
  const methods = useOf((s) => s.drawn.pieces.find((p) => p.config === config)?.methods);
  if (!methods?.length) return null;
  return (
    <>
      <p>
        Triangles are cut <School of="triangles" label="Method for triangles" />, squares in a row{" "}
        <School of="strips" label="Method for squares in a row" />.
      </p>
      {methods.map((m, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: what is cut is named by its size, and stays the same table at another
        <table key={i} className="methods">
          <caption>
            <T>{`${m.need} ${m.name}`}</T>
          </caption>
          <thead>
            <tr>
              <th scope="col">Way</th>
              <th scope="col">Cut</th>
              <th scope="col">Fabric</th>
              <th scope="col">Seams</th>
              <th scope="col">Left over</th>
            </tr>
          </thead>
          <tbody>
            {m.methods.map((way) => (
              <tr key={way.school} className={way.chosen ? "now" : undefined}>
                <th scope="row">
                  {way.name}
                  {way.chosen && <span className="sr-only"> (chosen)</span>}
                </th>
                <td>
                  <T>{way.cuts}</T>
                </td>
                <td>
                  {way.cloth}
                  {way.least && <span className="good"> least</span>}
                </td>
                <td>
                  {way.seams}
                  {way.quickest && <span className="good"> quickest</span>}
                </td>
                <td>{way.spare}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </>
  );
}
