import Button from "@mui/material/Button";
import { useState } from "react";
import type { Step } from "../api/api.gen";
import { useStarts } from "../api/queries";
import { usePlan } from "../plan/context";
import { useProgress } from "./progress";

/** What went wrong at a step, each with what helps, and a way to record more. */
export function Troubles({ step }: { step: Step }) {
  const { value } = usePlan();
  const { now, set } = useProgress();
  const known = useStarts(String(value("/units") ?? "in")).data?.troubles ?? [];
  const [adding, setAdding] = useState(false);
  const [kind, setKind] = useState("");
  const [note, setNote] = useState("");
  const all = now.troubles ?? [];
  const here = all.filter((t) => t.step === step.id);
  const titleOf = (of: string) => known.find((k) => k.kind === of)?.title ?? of;
  const remedyOf = (of: string) => known.find((k) => k.kind === of)?.remedy;
  const offered = known.filter((k) => (k.stages as string[]).includes(step.stage));
  const keep = () => {
    set(
      (p) => ({
        ...p,
        troubles: [...(p.troubles ?? []), { step: step.id, kind, ...(note.trim() && { note: note.trim() }) }],
      }),
      `trouble: ${titleOf(kind)}`,
    );
    setAdding(false);
    setKind("");
    setNote("");
  };
  return (
    <div className="troubles">
      {here.length > 0 && (
        <ul aria-label="What went wrong here">
          {here.map((t) => (
            <li key={`${t.kind} ${t.note} ${all.indexOf(t)}`}>
              <strong>{titleOf(t.kind)}</strong>
              {t.note && <>: {t.note}</>}. {remedyOf(t.kind)}{" "}
              <button
                type="button"
                className="word-button"
                onClick={() =>
                  set(
                    (p) => ({ ...p, troubles: (p.troubles ?? []).filter((other) => other !== t) }),
                    "trouble taken out",
                  )
                }
              >
                Remove it<span className="sr-only">: {titleOf(t.kind)}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {adding ? (
        <form
          aria-label="Something went wrong"
          onSubmit={(e) => {
            e.preventDefault();
            if (kind) keep();
          }}
        >
          <label>
            <span className="soft">What went wrong</span>{" "}
            <select value={kind} onChange={(e) => setKind(e.target.value)}>
              <option value="">Choose</option>
              {offered.map((k) => (
                <option key={k.kind} value={k.kind}>
                  {k.title}
                </option>
              ))}
            </select>
          </label>
          {kind && <p className="remedy">{remedyOf(kind)}</p>}
          <label className="line-field">
            <span>How much, where</span>
            <input
              value={note}
              maxLength={400}
              placeholder="short by 1/4 in at the left"
              onChange={(e) => setNote(e.target.value)}
            />
          </label>
          <div className="row-actions">
            <Button type="submit" variant="outlined" disabled={!kind}>
              Note it
            </Button>
            <Button variant="text" onClick={() => setAdding(false)}>
              Cancel
            </Button>
          </div>
        </form>
      ) : (
        <button type="button" className="word-button" onClick={() => setAdding(true)}>
          Something went wrong
        </button>
      )}
    </div>
  );
}
