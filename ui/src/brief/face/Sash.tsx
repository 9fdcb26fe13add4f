import { useStarts } from "../../api/queries";
import { usePlan } from "../../plan/context";
import { Choice } from "../Choice";
import { useLetters } from "../sentences";
import { Value } from "../Value";
import { useFace } from "./context";

/** Strips between the patches, with posts where they meet or without. */
export function Sash() {
  const { path, at, set, face, become } = useFace();
  const { value, reckoning } = usePlan();
  const letters = useLetters();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const sash = at("/sash") as { outside?: boolean; posts?: boolean; cloth?: string; post_cloth?: string } | undefined;
  const now = !sash ? "none" : sash.outside ? "outside" : "between";
  const first = letters[0]?.value ?? "A";
  const choose = (next: string) => {
    const { sash: _, ...others } = face;
    if (next === "none") become(others, "no sashes");
    else
      become(
        { ...others, sash: { width: starts?.sash, cloth: first, ...sash, outside: next === "outside" } },
        `sashes ${next}`,
      );
  };
  return (
    <>
      {" "}
      <Choice
        label="Sashes"
        value={now}
        options={[
          { value: "none", name: "No sashes" },
          { value: "between", name: "Sashes between them" },
          { value: "outside", name: "Sashes between and round them" },
        ]}
        choose={choose}
      />
      {sash && (
        <>
          , <Value path={`${path}/sash/width`} label="Finished width of a sash" /> wide, of{" "}
          <Choice
            label="Cloth of the sashes"
            value={String(sash.cloth ?? first)}
            options={letters}
            choose={(next) => set("/sash/cloth", next, `sashes of ${next}`)}
          />
          ,{" "}
          <Choice
            label="Posts where sashes meet"
            value={sash.posts ? String(sash.post_cloth ?? sash.cloth ?? first) : ""}
            options={[
              { value: "", name: "the long ones running through" },
              ...letters.map((l) => ({ value: l.value, name: `with posts of ${l.name}` })),
            ]}
            choose={(next) =>
              become(
                { ...face, sash: { ...sash, posts: next !== "", post_cloth: next || undefined } },
                next ? `posts of ${next}` : "no posts",
              )
            }
          />
          <SashCount counts={reckoning.counts} />
        </>
      )}
      .
    </>
  );
}

function SashCount({ counts }: { counts: Record<string, number> }) {
  const parts = ["short sashes", "long sashes", "posts"]
    .filter((name) => counts[name])
    .map((name) => `${counts[name]} ${name}`);
  if (parts.length === 0) return null;
  return <span className="soft">: {parts.join(", ")}</span>;
}
