import { useMemo, useState } from "react";
import type { Finding, Section } from "../api/api.gen";
import { useOf, usePlan } from "../plan/context";
import { within } from "../plan/path";
import { T } from "../words/T";
import { Blocks, placesOf } from "./Blocks";
import { stageOf } from "./stages";
import { Stage } from "./Thread";

/** The whole plan as one page of prose down a thread, its values set in it. */
export function Brief() {
  const { brief, value, edit } = usePlan();
  const { stages } = brief;
  const found = useFound(stages);
  const [now, setNow] = useState(stages.some((s) => s.name === "Front") ? "Front" : "Cover");
  return (
    <div className="brief">
      <TitleField title={String(value("/title") ?? "")} keep={(title) => edit("/title", title, `title: ${title}`)} />
      <Counted copies={Number(value("/copies") ?? 1)} />
      <div className="thread">
        {stages.map(({ name, blocks }) => (
          <Stage key={name} name={name} now={now === name} enter={() => setNow(name)} findings={found.get(name) ?? []}>
            <Blocks of={blocks} />
          </Stage>
        ))}
      </div>
    </div>
  );
}

/** What is found of each stage, but for what stands with one of its blocks. */
function useFound(stages: readonly Section[]): ReadonlyMap<string, Finding[]> {
  const findings = useOf((s) => s.reckoning.findings);
  const places = useMemo(() => stages.flatMap(({ blocks }) => placesOf(blocks)), [stages]);
  return useMemo(() => {
    const found = new Map<string, Finding[]>(stages.map(({ name }) => [name, []]));
    for (const finding of findings) {
      if (!places.some((place) => within(finding.about, place)))
        found.get(stageOf(finding, stages) ?? "")?.push(finding);
    }
    return found;
  }, [findings, stages, places]);
}

function Counted({ copies }: { copies: number }) {
  const pieces = useOf((s) => s.reckoning.counts["pieces to cut"]) ?? "no";
  return (
    <p className="soft brief-sub">
      <T>{`${pieces} pieces to cut · ${copies} ${copies === 1 ? "cover" : "covers"}`}</T>
    </p>
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
