import { useState } from "react";
import { usePlan } from "../plan/context";
import { within } from "../plan/path";
import { T } from "../words/T";
import { Blocks, placesOf } from "./Blocks";
import { stageOf } from "./stages";
import { Stage } from "./Thread";

/** The whole plan as one page of prose down a thread, its values set in it. */
export function Brief() {
  const { brief, reckoning, value, edit } = usePlan();
  const { stages } = brief;
  const [now, setNow] = useState(stages.some((s) => s.name === "Front") ? "Front" : "Cover");
  const copies = Number(value("/copies") ?? 1);
  return (
    <div className="brief">
      <TitleField title={String(value("/title") ?? "")} keep={(title) => edit("/title", title, `title: ${title}`)} />
      <p className="soft brief-sub">
        <T>{`${reckoning.counts["pieces to cut"] ?? "no"} pieces to cut · ${copies} ${copies === 1 ? "cover" : "covers"}`}</T>
      </p>
      <div className="thread">
        {stages.map(({ name, blocks }) => {
          const places = placesOf(blocks);
          return (
            <Stage
              key={name}
              name={name}
              now={now === name}
              enter={() => setNow(name)}
              findings={reckoning.findings.filter(
                (f) => stageOf(f, stages) === name && !places.some((place) => within(f.about, place)),
              )}
            >
              <Blocks of={blocks} />
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
