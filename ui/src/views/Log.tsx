import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { GateView, LogView, Piece } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { createPlan, useChange, useLog } from "../api/queries";
import { around, PieceDrawing } from "../sheet/PieceDrawing";
import { Len } from "../words/T";

/** Finished covers: planned against measured, and what to do differently. */
export function Log() {
  const log = useLog();
  return (
    <div className="page">
      <h1>Log</h1>
      {log.isError && (
        <p className="finding stop" role="alert">
          {sentence(log.error)}
        </p>
      )}
      {log.data?.length === 0 && <p className="empty">No cover is finished yet. When all steps of a plan are done, Sew writes it here.</p>}
      <ul className="logbook">
        {log.data?.map((entry) => (
          <Entry key={entry.id} entry={entry} />
        ))}
      </ul>
    </div>
  );
}

function Entry({ entry }: { entry: LogView }) {
  const go = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const create = useChange(createPlan);
  const save = useChange((part: { notes: string; next: string; minutes: number }) =>
    ask<LogView>("PUT", `/log/${entry.id}`, { base: entry.revision, ...part }),
  );
  const now = { minutes: entry.minutes, notes: entry.notes, next: entry.next };
  const front = entry.pieces[0];
  const keep = async (part: Partial<typeof now>) => {
    try {
      setProblem(null);
      await save.mutateAsync({ ...now, ...part });
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const again = async () => {
    const { measured: _, progress: __, ...plan } = entry.plan as unknown as Plan;
    try {
      const made = await create.mutateAsync({ ...plan, title: `${plan.title}, again` });
      go(`/plans/${made.id}`);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <li className="log-entry">
      <div className="plan-picture small">
        {front && (
          <svg viewBox={framed(front)} aria-hidden="true">
            <PieceDrawing piece={front} swatches={entry.swatches} outlines={false} />
          </svg>
        )}
      </div>
      <div>
        <h2>{entry.title}</h2>
        <p className="soft">
          Finished{" "}
          <time dateTime={entry.finished}>
            {new Date(entry.finished).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" })}
          </time>
          {entry.minutes > 0 && ` after ${worked(entry.minutes)}`}
        </p>
        <ul className="gates">
          {entry.gates.map((gate) => (
            <li key={gate.title}>
              <GateLine gate={gate} />
            </li>
          ))}
        </ul>
        <Note label="Notes" text={entry.notes} keep={(notes) => void keep({ notes })} />
        <Note label="Next time" text={entry.next} keep={(next) => void keep({ next })} />
        {problem && (
          <p className="finding stop" role="alert">
            {problem}
          </p>
        )}
        <Button variant="outlined" onClick={() => void again()} disabled={create.isPending}>
          Plan one like it
        </Button>
      </div>
    </li>
  );
}

function framed(piece: Piece): string {
  const box = around(piece.outline);
  return `${box.x - 3} ${box.y - 3} ${box.width + 6} ${box.height + 6}`;
}

function worked(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (hours === 0) return `${rest} minutes`;
  return `${hours} h${rest ? ` ${rest} min` : ""}`;
}

function GateLine({ gate }: { gate: GateView }) {
  return (
    <>
      {gate.title}: planned <Len of={gate.planned.width} by={gate.planned.height} />,{" "}
      {gate.measured ? (
        <>
          measured{" "}
          <strong>
            <Len of={gate.measured.width} by={gate.measured.height} />
          </strong>
          {gate.off && (gate.off.width.nm !== 0 || gate.off.height.nm !== 0) ? (
            <span className="warn-text">
              {" "}
              (off by <Len of={gate.off.width} by={gate.off.height} />)
            </span>
          ) : (
            <span className="good-text"> as planned</span>
          )}
        </>
      ) : (
        "not measured"
      )}
      .
    </>
  );
}

function Note({ label, text, keep }: { label: string; text: string; keep: (text: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <label className="note-field">
      <span>{label}</span>
      <textarea
        rows={2}
        maxLength={4000}
        value={draft ?? text}
        onChange={(e) => setDraft(e.target.value)}
        onBlur={() => {
          if (draft !== null && draft !== text) keep(draft);
          setDraft(null);
        }}
      />
    </label>
  );
}
