import { usePlan } from "../plan/context";
import { get, put } from "../plan/path";
import { Len } from "../words/T";
import { Choice } from "./Choice";
import { refit } from "./rows";
import { useLetters } from "./sentences";
import { Value } from "./Value";

const face = "/pieces/front/face";

interface Border {
  width?: string | number;
  cloth?: string;
}

/** What the front is made of. */
export function Front() {
  const { value, rework } = usePlan();
  const letters = useLetters();
  const kind = String(value(`${face}/kind`) ?? "plain");
  const first = letters[0]?.value ?? "A";
  const second = letters[1]?.value ?? first;
  return (
    <>
      <p>
        <Choice
          label="Kind of front"
          value={kind}
          options={[
            { value: "plain", name: "One piece of cloth" },
            { value: "grid", name: "Patches in a grid" },
          ]}
          choose={(next) =>
            rework(
              (plan) =>
                put(
                  plan,
                  face,
                  next === "plain"
                    ? { kind: "plain", cloth: first }
                    : {
                        kind: "grid",
                        columns: 4,
                        rows: 4,
                        patch: { fit: true },
                        cloths: [first, second],
                        order: "alternate",
                        borders: [{ width: "rest", cloth: first }],
                      },
                ),
              next === "plain" ? "a plain front" : "a grid of patches",
            )
          }
        />
        {kind === "plain" ? <PlainFront /> : <GridFront />}
      </p>
      {kind === "grid" && <ByHand />}
      {kind === "grid" && <Borders />}
    </>
  );
}

function PlainFront() {
  const { value, edit } = usePlan();
  const letters = useLetters();
  return (
    <>
      :{" "}
      <Choice
        label="Cloth of the front"
        value={String(value(`${face}/cloth`) ?? letters[0]?.value ?? "A")}
        options={letters}
        choose={(next) => edit(`${face}/cloth`, next, `front of ${next}`)}
      />
      .
    </>
  );
}

function GridFront() {
  const { value, edit, rework, reckoning, drawn } = usePlan();
  const letters = useLetters();
  const cloths = (value(`${face}/cloths`) ?? []) as string[];
  const order = value(`${face}/order`);
  const fit = value(`${face}/patch/fit`) === true;
  const patch = reckoning.sums["front.finished.width"]?.find((t) => t.term === "patch");
  const laid = () => {
    const rows: string[][] = [];
    for (const cell of drawn.pieces.find((p) => p.name === "front")?.cells ?? []) {
      if (!cell.row || !cell.column) continue;
      rows[cell.row - 1] ??= [];
      (rows[cell.row - 1] as string[])[cell.column - 1] = cell.cloth;
    }
    return rows;
  };
  const orderName = Array.isArray(order) ? "rows" : String(order ?? "alternate");
  return (
    <>
      , <Value path={`${face}/columns`} label="Patches across" kind="count" follow={refit} /> across and{" "}
      <Value path={`${face}/rows`} label="Patches down" kind="count" follow={refit} /> down, each{" "}
      <Choice
        label="Size of the patches"
        value={fit ? "fit" : "given"}
        options={[
          { value: "given", name: "finished" },
          { value: "fit", name: "as large as fits" },
        ]}
        choose={(next) =>
          rework(
            (plan) => put(plan, `${face}/patch`, next === "fit" ? { fit: true } : { width: patch?.amount.exact ?? "4" }),
            next === "fit" ? "patches that fit" : "patches of a size",
          )
        }
      />{" "}
      {fit ? (
        <strong>{patch ? <Len of={patch.amount} /> : "…"}</strong>
      ) : (
        <>
          <Value path={`${face}/patch/width`} label="Finished width of a patch" /> by{" "}
          <Value path={`${face}/patch/height`} label="Finished height of a patch" />
        </>
      )}
      , in{" "}
      {cloths.map((letter, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cloth may stand twice in the order
        <span key={i}>
          {i > 0 && (i === cloths.length - 1 ? " and " : ", ")}
          <Choice
            label={`Cloth ${i + 1} of the patches`}
            value={letter}
            options={cloths.length > 1 ? [...letters, { value: "", name: "take it out" }] : letters}
            choose={(next) => edit(`${face}/cloths/${i}`, next || undefined, next ? `patches of ${next}` : "one cloth less")}
          />
        </span>
      ))}{" "}
      <Choice
        label="Add a cloth to the patches"
        value=""
        options={[{ value: "", name: "and more" }, ...letters.filter((l) => !cloths.includes(l.value))]}
        choose={(next) => next && edit(`${face}/cloths/${cloths.length}`, next, `patches also of ${next}`)}
      />
      ,{" "}
      <Choice
        label="Order of the cloths"
        value={orderName}
        options={[
          { value: "alternate", name: "in turn" },
          { value: "scrap", name: "mixed, no like neighbours" },
          { value: "rows", name: "laid by hand" },
        ]}
        choose={(next) => edit(`${face}/order`, next === "rows" ? laid() : next, `cloths ${next}`)}
      />
      {orderName === "scrap" && (
        <>
          {" "}
          <button
            type="button"
            className="word-button"
            onClick={() => edit(`${face}/seed`, Number(value(`${face}/seed`) ?? 0) + 1, "mixed again")}
          >
            mix again
          </button>
        </>
      )}
      .
    </>
  );
}

/** The rows as they were laid, patch by patch. */
function ByHand() {
  const { value, edit } = usePlan();
  const letters = useLetters();
  const order = value(`${face}/order`);
  if (!Array.isArray(order)) return null;
  const options = letters.map(({ value: letter, name }) => ({ value: letter, name: `${letter}, ${name}`, shown: letter }));
  return (
    <ol className="by-hand" aria-label="Rows of patches">
      {(order as string[][]).map((row, r) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows have no identity but their place
        <li key={r}>
          <span className="soft">Row {r + 1}: </span>
          {row.map((letter, c) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: patches have no identity but their place
            <span key={c}>
              <Choice
                label={`Row ${r + 1}, patch ${c + 1}`}
                value={letter}
                options={options}
                choose={(next) => edit(`${face}/order/${r}/${c}`, next, `row ${r + 1}, patch ${c + 1} of ${next}`)}
              />{" "}
            </span>
          ))}
        </li>
      ))}
    </ol>
  );
}

function Borders() {
  const { value, edit, rework, reckoning } = usePlan();
  const letters = useLetters();
  const borders = (value(`${face}/borders`) ?? []) as Border[];
  const width = (i: number) => reckoning.sums["front.finished.width"]?.find((t) => t.term === `border ${i + 1}`)?.amount;
  const add = (
    <button
      type="button"
      className="word-button"
      onClick={() =>
        rework(
          (plan) => put(plan, `${face}/borders`, [...borders, { width: borders.length ? "1" : "rest", cloth: letters[0]?.value ?? "A" }]),
          "a border more",
        )
      }
    >
      {borders.length ? "Add another border" : "Add a border"}
    </button>
  );
  return (
    <p>
      {borders.map((border, i) => {
        const rest = get(border, "/width") === "rest" || border.width === undefined;
        const shown = width(i);
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: borders have no identity but their order
          <span key={i}>
            A border of{" "}
            <Choice
              label={`Cloth of border ${i + 1}`}
              value={String(border.cloth ?? letters[0]?.value ?? "A")}
              options={letters}
              choose={(next) => edit(`${face}/borders/${i}/cloth`, next, `border of ${next}`)}
            />{" "}
            <Choice
              label={`Width of border ${i + 1}`}
              value={rest ? "rest" : "given"}
              options={[
                { value: "rest", name: "takes the rest" },
                { value: "given", name: "measures" },
                { value: "none", name: "is taken off" },
              ]}
              choose={(next) =>
                next === "none"
                  ? edit(`${face}/borders/${i}`, undefined, "a border less")
                  : edit(
                      `${face}/borders/${i}/width`,
                      next === "rest" ? "rest" : (shown?.exact ?? "1"),
                      next === "rest" ? "border takes the rest" : "border of a width",
                    )
              }
            />
            {rest ? (
              shown && (
                <>
                  : <strong>{<Len of={shown} />}</strong>
                </>
              )
            ) : (
              <>
                {" "}
                <Value path={`${face}/borders/${i}/width`} label={`Finished width of border ${i + 1}`} /> wide
              </>
            )}
            .{" "}
          </span>
        );
      })}
      {add}
    </p>
  );
}
