import { usePlan } from "../../plan/context";
import { Len } from "../../words/T";
import { Choice } from "../Choice";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { useFace } from "./context";

/** Squares folded to the middle twice, with patches over the joins. */
export function Windows() {
  const { path, at, set, config, inner } = useFace();
  const { drawn } = usePlan();
  const letters = useLetters();
  const first = letters[0]?.value ?? "A";
  const takes = inner ? undefined : drawn.pieces.find((p) => p.config === config)?.windows;
  const fits = at("/unit") === undefined;
  return (
    <>
      , <Value path={`${path}/columns`} label="Units across" kind="count" /> across and{" "}
      <Value path={`${path}/rows`} label="Units down" kind="count" /> down,{" "}
      <Choice
        label="Size of the units"
        value={fits ? "fit" : "given"}
        options={[
          { value: "fit", name: "each as large as fits" },
          { value: "given", name: "each finished" },
        ]}
        choose={(next) =>
          set(
            "/unit",
            next === "fit" ? undefined : (takes?.unit.exact ?? "3"),
            next === "fit" ? "units that fit" : "units of a size",
          )
        }
      />{" "}
      {fits ? (
        takes && <strong>{<Len of={takes.unit} />}</strong>
      ) : (
        <Value path={`${path}/unit`} label="Finished unit" />
      )}
      , folded of{" "}
      <Choice
        label="Ground cloth"
        value={String(at("/ground") ?? first)}
        options={letters}
        choose={(next) => set("/ground", next, `ground of ${next}`)}
      />
      , showing{" "}
      <Choice
        label="Cloth in the windows"
        value={String(at("/show") ?? first)}
        options={letters}
        choose={(next) => set("/show", next, `windows of ${next}`)}
      />
      ,{" "}
      <Choice
        label="Buttons on the points"
        value={at("/buttons") ? "buttons" : ""}
        options={[
          { value: "", name: "without buttons" },
          { value: "buttons", name: "with a button on every point" },
        ]}
        choose={(next) => set("/buttons", next ? true : undefined, next ? "buttons on the points" : "no buttons")}
      />
      {takes && (
        <span className="soft">
          : {takes.whole} windows, {takes.half} half ones, {takes.points} points; the ground takes{" "}
          {takes.eats.toFixed(1)} times the cloth that shows
        </span>
      )}
      .
    </>
  );
}
