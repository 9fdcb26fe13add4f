import { useState } from "react";
import { usePlan } from "../plan/context";
import { T } from "../words/T";
import { Back } from "./Back";
import { Cover } from "./cover";
import { Fittings } from "./Fittings";
import { Front } from "./Front";
import { Layers } from "./Layers";
import { Measure } from "./measure";
import { ofPiece, Pieces, useConfigs } from "./Pieces";
import { Cloths, Edges } from "./sentences";
import { type StageName, stageOf, stages } from "./stages";
import { Stage } from "./Thread";

const sentences = { Measure, Cover, Front, Pieces, Layers, Back, Edges, Fittings, Cloth: Cloths };

/** The stages a plan goes through: only a cushion has a front and a back of their own. */
const stagesOf = (cushion: boolean) => stages.filter((s) => (cushion ? s !== "Pieces" : s !== "Front" && s !== "Back"));

/** The whole plan as one page of prose down a thread, its values set in it. */
export function Brief() {
  const { reckoning, value, edit } = usePlan();
  const cushion = value("/cover/kind") === "cushion";
  const configs = useConfigs();
  const [now, setNow] = useState<StageName>(cushion ? "Front" : "Cover");
  const copies = Number(value("/copies") ?? 1);
  return (
    <div className="brief">
      <TitleField title={String(value("/title") ?? "")} keep={(title) => edit("/title", title, `title: ${title}`)} />
      <p className="soft brief-sub">
        <T>{`${reckoning.counts["pieces to cut"] ?? "no"} pieces to cut · ${copies} ${copies === 1 ? "cover" : "covers"}`}</T>
      </p>
      <div className="thread">
        {stagesOf(cushion).map((name) => {
          const Words = sentences[name];
          return (
            <Stage
              key={name}
              name={name}
              now={now === name}
              enter={() => setNow(name)}
              findings={reckoning.findings.filter(
                (f) => stageOf(f, cushion) === name && !(name === "Pieces" && configs.some((c) => ofPiece(f, c.name))),
              )}
            >
              <Words />
            </Stage>
          );
        })}
      </div>
    </div>
  );
}

function TitleField({ title, keep }: { title: string; keep: (title: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const finish = () => {
    if (draft?.trim() && draft.trim() !== title) keep(draft.trim());
    setDraft(null);
  };
  return (
    <h1 className="brief-title">
      <textarea
        aria-label="Title of the plan"
        rows={1}
        value={draft ?? title}
        maxLength={120}
        onChange={(e) => setDraft(e.target.value)}
        onBlur={finish}
        onKeyDown={(e) => {
          if (e.key === "Enter") {
            e.preventDefault();
            e.currentTarget.blur();
          }
          if (e.key === "Escape") setDraft(null);
        }}
      />
    </h1>
  );
}
