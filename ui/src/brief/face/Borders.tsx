import type { Cut, Piece, Reckoning } from "../../api/api.gen";
import { usePlan } from "../../plan/context";
import { Len } from "../../words/T";
import { Choice } from "../Choice";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { useFace } from "./context";

interface Border {
  key?: string;
  width?: string | number;
  cloth?: string;
  corner?: string;
  corner_cloth?: string;
  pieced?: { cloths?: string[]; across?: number; down?: number };
}

const corners = [
  { value: "butted", name: "butted" },
  { value: "mitred", name: "mitred" },
  { value: "squares", name: "with corner squares" },
];

/** What goes round the patches, from inside to outside. */
export function Borders() {
  const { at, set } = useFace();
  const letters = useLetters();
  const borders = (at("/borders") ?? []) as Border[];
  const first = letters[0]?.value ?? "A";
  return (
    <p>
      {borders.map((border, i) => (
        <OneBorder key={border.key ?? i} border={border} i={i} />
      ))}
      <button
        type="button"
        className="word-button"
        onClick={() =>
          set("/borders", [...borders, { width: borders.length ? "1" : "rest", cloth: first }], "a border more")
        }
      >
        {borders.length ? "Add another border" : "Add a border"}
      </button>
    </p>
  );
}

function OneBorder({ border, i }: { border: Border; i: number }) {
  const { path, set, config } = useFace();
  const { reckoning } = usePlan();
  const letters = useLetters();
  const first = letters[0]?.value ?? "A";
  const shown = reckoning.sums[`${config}.finished.width`]?.find((t) => t.term === `border ${i + 1}`)?.amount;
  const rest = border.width === "rest" || border.width === undefined;
  const at = `/borders/${i}`;
  const chooseWidth = (next: string) => {
    if (next === "none") set(at, undefined, "a border less");
    else
      set(
        `${at}/width`,
        next === "rest" ? "rest" : (shown?.exact ?? "1"),
        next === "rest" ? "border takes the rest" : "border of a width",
      );
  };
  const pieced = border.pieced !== undefined;
  return (
    <span>
      A border of{" "}
      {pieced ? (
        <PiecedCloths border={border} i={i} />
      ) : (
        <Choice
          label={`Cloth of border ${i + 1}`}
          value={String(border.cloth ?? first)}
          options={letters}
          choose={(next) => set(`${at}/cloth`, next, `border of ${next}`)}
        />
      )}{" "}
      <Choice
        label={`Border ${i + 1} in one piece or in patches`}
        value={pieced ? "pieced" : "whole"}
        options={[
          { value: "whole", name: "cut in strips" },
          { value: "pieced", name: "in patches" },
        ]}
        choose={(next) =>
          set(
            `${at}/pieced`,
            next === "pieced" ? { cloths: letters.slice(0, 2).map((l) => l.value) } : undefined,
            next === "pieced" ? "border of patches" : "border of strips",
          )
        }
      />{" "}
      <Choice
        label={`Width of border ${i + 1}`}
        value={rest ? "rest" : "given"}
        options={[
          { value: "rest", name: "takes the rest" },
          { value: "given", name: "measures" },
          { value: "none", name: "is taken off" },
        ]}
        choose={chooseWidth}
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
          <Value path={`${path}${at}/width`} label={`Finished width of border ${i + 1}`} /> wide
        </>
      )}
      ,{" "}
      <Choice
        label={`Corners of border ${i + 1}`}
        value={border.corner || "butted"}
        options={pieced ? corners.filter((c) => c.value !== "mitred") : corners}
        choose={(next) => set(`${at}/corner`, next, `corners ${next}`)}
      />
      {border.corner === "squares" && (
        <>
          {" "}
          of{" "}
          <Choice
            label={`Cloth of the corner squares of border ${i + 1}`}
            value={String(border.corner_cloth ?? border.cloth ?? first)}
            options={letters}
            choose={(next) => set(`${at}/corner_cloth`, next, `corner squares of ${next}`)}
          />
        </>
      )}
      .{" "}
    </span>
  );
}

/** The cloths of a border of patches, and how many there are. */
function PiecedCloths({ border, i }: { border: Border; i: number }) {
  const { path, set } = useFace();
  const { reckoning } = usePlan();
  const letters = useLetters();
  const cloths = border.pieced?.cloths ?? [];
  const at = `/borders/${i}/pieced`;
  const count = (key: "across" | "down") =>
    border.pieced?.[key] === undefined ? (
      <button
        type="button"
        className="word-button"
        onClick={() => set(`${at}/${key}`, guess(reckoning, `${path}${at}/cloths`, key), `patches ${key} counted`)}
      >
        as many as fit
      </button>
    ) : (
      <Value path={`${path}${at}/${key}`} label={`Patches ${key} in border ${i + 1}`} kind="count" />
    );
  return (
    <>
      {cloths.map((letter, k) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cloth may stand twice in the order
        <span key={k}>
          {k > 0 && (k === cloths.length - 1 ? " and " : ", ")}
          <Choice
            label={`Cloth ${k + 1} of border ${i + 1}`}
            value={letter}
            options={cloths.length > 1 ? [...letters, { value: "", name: "take it out" }] : letters}
            choose={(next) =>
              set(`${at}/cloths/${k}`, next || undefined, next ? `border patches of ${next}` : "one cloth less")
            }
          />
        </span>
      ))}{" "}
      <Choice
        label={`Add a cloth to border ${i + 1}`}
        value=""
        options={[{ value: "", name: "and more" }, ...letters.filter((l) => !cloths.includes(l.value))]}
        choose={(next) => next && set(`${at}/cloths/${cloths.length}`, next, `border patches also of ${next}`)}
      />
      , {count("across")} across and {count("down")} down,
    </>
  );
}

/** How many patches a side of a border has now, to begin counting from: of the first piece whose cloths are decided at the path. */
function guess(reckoning: Reckoning, cloths: string, key: "across" | "down"): number {
  const role = key === "down" ? "border-first" : "border-second";
  const decided = ({ about }: Cut, { name, config }: Piece) =>
    about.piece === name &&
    about.role === role &&
    [config, "*"].some((of) => `/pieces/${of}/face${about.paints}` === cloths);
  const piece = reckoning.pieces.find((p) => reckoning.cuts.some((c) => decided(c, p)));
  if (!piece) return 1;
  const n = reckoning.cuts.filter((c) => decided(c, piece)).reduce((sum, c) => sum + c.count, 0) / piece.count;
  return Math.max(1, Math.round(n / 2));
}
