import { usePlan } from "../../plan/context";
import { rowsOf } from "../../plan/paint";
import { Len } from "../../words/T";
import { Choice } from "../Choice";
import { refit } from "../rows";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { BlockChoice } from "./Block";
import { useFace } from "./context";
import { Sash } from "./Sash";

/** Patches or blocks in rows: how many, how large, in which cloths and which order. */
export function Grid() {
  const { path, kind, config, inner, at, set } = useFace();
  const { reckoning, rework } = usePlan();
  const letters = useLetters();
  const fit = at("/patch/fit") === true;
  const patch = inner ? undefined : reckoning.pieces.find((p) => p.config === config)?.patch;
  const point = at("/set") === "on-point";
  const follow = refit(path);
  return (
    <>
      , <Value path={`${path}/columns`} label="Patches across" kind="count" follow={follow} /> across and{" "}
      <Value path={`${path}/rows`} label="Patches down" kind="count" follow={follow} /> down
      {kind === "grid" && (
        <>
          ,{" "}
          <Choice
            label="Setting of the patches"
            value={point ? "on-point" : "straight"}
            options={[
              { value: "straight", name: "set straight" },
              { value: "on-point", name: "set on their points" },
            ]}
            choose={(next) =>
              rework((plan) => follow(setAs(plan, path, next)), next === "straight" ? "set straight" : "set on point")
            }
          />
        </>
      )}
      , each{" "}
      <Choice
        label="Size of the patches"
        value={fit ? "fit" : "given"}
        options={[
          { value: "given", name: "finished" },
          { value: "fit", name: "as large as fits" },
        ]}
        choose={(next) =>
          set(
            "/patch",
            next === "fit"
              ? { fit: true }
              : {
                  width: patch?.width.exact ?? "4",
                  ...(patch && patch.height.nm !== patch.width.nm && { height: patch.height.exact }),
                },
            next === "fit" ? "patches that fit" : "patches of a size",
          )
        }
      />{" "}
      {fit ? (
        patch && <strong>{<Len of={patch.width} />}</strong>
      ) : (
        <>
          <Value path={`${path}/patch/width`} label="Finished width of a patch" />
          {!point && (
            <>
              {" "}
              by <Value path={`${path}/patch/height`} label="Finished height of a patch" />
            </>
          )}
        </>
      )}
      {kind === "grid" && <BlockChoice />}, in <ClothList />
      {kind === "grid" && <ClothOrder />}
      {point && (
        <>
          , the triangles round them of{" "}
          <Choice
            label="Cloth of the setting triangles"
            value={String(at("/cloth") ?? "")}
            options={[{ value: "", name: "the last of these" }, ...letters]}
            choose={(next) =>
              set(
                "/cloth",
                next || undefined,
                next ? `setting triangles of ${next}` : "setting triangles of the last cloth",
              )
            }
          />
        </>
      )}
      .{kind === "grid" && !point && <Sash />}
    </>
  );
}

/** A grid set straight or on point: what only the other can have is taken out. */
function setAs<T>(plan: T, path: string, set: string): T {
  const put = (at: unknown, keys: string[], change: (face: Record<string, unknown>) => unknown): unknown => {
    const [key, ...rest] = keys;
    if (key === undefined) return change((at ?? {}) as Record<string, unknown>);
    if (Array.isArray(at)) return at.map((x, i) => (i === Number(key) ? put(x, rest, change) : x));
    const object = (at ?? {}) as Record<string, unknown>;
    return { ...object, [key]: put(object[key], rest, change) };
  };
  return put(plan, path.split("/").slice(1), (face) => {
    const { sash, keep: _, ...others } = face;
    if (set === "straight") return { ...others, ...(sash !== undefined && { sash }), set };
    return { ...others, set, patch: { fit: true } }; // what fitted straight seldom does on point
  }) as T;
}

function ClothList() {
  const { at, set } = useFace();
  const letters = useLetters();
  const cloths = (at("/cloths") ?? []) as string[];
  return (
    <>
      {cloths.map((letter, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a cloth may stand twice in the order
        <span key={i}>
          {i > 0 && (i === cloths.length - 1 ? " and " : ", ")}
          <Choice
            label={`Cloth ${i + 1} of the patches`}
            value={letter}
            options={cloths.length > 1 ? [...letters, { value: "", name: "take it out" }] : letters}
            choose={(next) => set(`/cloths/${i}`, next || undefined, next ? `patches of ${next}` : "one cloth less")}
          />
        </span>
      ))}{" "}
      <Choice
        label="Add a cloth to the patches"
        value=""
        options={[{ value: "", name: "and more" }, ...letters.filter((l) => !cloths.includes(l.value))]}
        choose={(next) => next && set(`/cloths/${cloths.length}`, next, `patches also of ${next}`)}
      />
    </>
  );
}

function ClothOrder() {
  const { at, set, face, become, config } = useFace();
  const { drawn } = usePlan();
  const order = at("/order");
  const keep = (at("/keep") ?? []) as unknown[];
  const name = Array.isArray(order) ? "rows" : String(order ?? "alternate");
  const laid = () => rowsOf(drawn.pieces.find((p) => p.config === config)?.cells ?? []);
  const mix = () => set("/seed", Number(at("/seed") ?? 0) + 1, "mixed again");
  return (
    <>
      ,{" "}
      <Choice
        label="Order of the cloths"
        value={name}
        options={[
          { value: "alternate", name: "in turn" },
          { value: "scrap", name: "mixed, no like neighbours" },
          { value: "rows", name: "laid by hand" },
        ]}
        choose={(next) => set("/order", next === "rows" ? laid() : next, `cloths ${next}`)}
      />
      {name === "scrap" && (
        <>
          {" "}
          <button type="button" className="word-button" onClick={mix}>
            mix again
          </button>
          {keep.length > 0 && (
            <>
              , {keep.length} kept{" "}
              <button
                type="button"
                className="word-button"
                onClick={() => {
                  const { keep: _, ...others } = face;
                  become(others, "no patch kept");
                }}
              >
                let all go
              </button>
            </>
          )}
        </>
      )}
    </>
  );
}
