import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { GateView, LogView, PhotoView, Piece } from "../api/api.gen";
import { ask, sendFile, sentence } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { useChange, useFigures, useHabits, useLog, useNewPlan, useStarts } from "../api/queries";
import { around, PieceDrawing } from "../sheet/PieceDrawing";
import { FileButton } from "../shell/FileButton";
import { useSay } from "../shell/Say";
import { hours } from "../words/hours";
import { Len } from "../words/T";

/** Finished covers: planned against measured, and what to do differently. */
export function Log() {
  const log = useLog();
  const figures = useFigures(); // they stand above: nothing is pushed down
  const [sought, seek] = useState("");
  const [beside, setBeside] = useState<number[]>([]);
  const [which, choose] = useState("");
  const found = (log.data ?? []).filter((entry) => says(entry, sought) && (which === "" || sorts[which]?.is(entry)));
  const both = (log.data ?? []).filter((entry) => beside.includes(entry.id));
  return (
    <div className="page">
      <header className="page-head">
        <h1>Log</h1>
        {(log.data?.length ?? 0) > 0 && (
          <label className="line-field">
            <span>Look for</span>
            <input value={sought} onChange={(e) => seek(e.target.value)} placeholder="hood, pleat, moss leaf" />
          </label>
        )}
        {(log.data?.length ?? 0) > 0 && (
          <label className="line-field">
            <span>Which</span>
            <select value={which} onChange={(e) => choose(e.target.value)}>
              <option value="">all covers</option>
              {Object.entries(sorts)
                .filter(([, sort]) => log.data?.some(sort.is))
                .map(([key, sort]) => (
                  <option key={key} value={key}>
                    {sort.name}
                  </option>
                ))}
            </select>
          </label>
        )}
      </header>
      {(log.data?.length ?? 0) > 0 && <Figures />}
      {both.length === 2 && <Beside entries={both} close={() => setBeside([])} />}
      {sought && found.length === 0 && (
        <p className="empty">
          No finished cover{which !== "" && ` among ${sorts[which]?.name}`} says “{sought}”.
        </p>
      )}
      {log.isError && (
        <p className="finding stop" role="alert">
          {sentence(log.error)}
        </p>
      )}
      {log.data?.length === 0 && (
        <p className="empty">No cover is finished yet. When all steps of a plan are done, Sew writes it here.</p>
      )}
      <ul className="logbook">
        {(figures.isPending ? [] : found).map((entry) => (
          <Entry
            key={entry.id}
            entry={entry}
            beside={beside.includes(entry.id)}
            set={(on) => setBeside((now) => (on ? [...now, entry.id].slice(-2) : now.filter((id) => id !== entry.id)))}
          />
        ))}
      </ul>
    </div>
  );
}

const covering = (kind: string) => (entry: LogView) => (entry.plan as unknown as Plan).object.kind === kind;

/** The sorts of covers that can be looked through by themselves. */
const sorts: Record<string, { name: string; is: (entry: LogView) => boolean }> = {
  form: { name: "cushions", is: covering("form") },
  box: { name: "hoods", is: covering("box") },
  book: { name: "jackets", is: covering("book") },
  flat: { name: "pads", is: covering("flat") },
  found: { name: "covers from found panels", is: covering("found") },
  trouble: { name: "those with which something went wrong", is: (entry) => (entry.troubles ?? []).length > 0 },
  off: { name: "those that came out otherwise than planned", is: (entry) => entry.gates.some(isOff) },
};

function isOff({ off }: GateView): boolean {
  return off ? off.width.nm !== 0 || off.height.nm !== 0 : false;
}

/** Everything that is written of a cover, for the search. */
function says(entry: LogView, sought: string): boolean {
  const cloths = Object.values((entry.plan as unknown as Plan).cloths ?? {}).map((c) => c.name ?? "");
  const all = [
    entry.title,
    entry.notes,
    entry.next,
    ...cloths,
    ...(entry.troubles ?? []).map((t) => `${t.kind} ${t.note ?? ""}`),
  ];
  return sought
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.some((text) => text.toLowerCase().includes(word)));
}

/** What many covers tell, and what is offered for it; nothing is taken on by itself. */
function Figures() {
  const view = useFigures().data;
  const troubles = useStarts("in").data?.troubles ?? [];
  const say = useSay();
  const habits = useHabits().data;
  const [problem, setProblem] = useState<string | null>(null);
  const change = useChange((pace: number) =>
    ask("PUT", "/habits", {
      base: habits?.revision,
      units: habits?.units,
      habits: { ...(habits?.habits as object), pace },
    }),
  );
  if (!view) return null;
  const { figures } = view;
  const now = (habits?.habits as { pace?: number } | undefined)?.pace ?? 1;
  const take = async () => {
    try {
      setProblem(null);
      await change.mutateAsync(figures.pace);
      say(`Steps are estimated at ${figures.pace} times the usual from now on.`);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <section className="figures" aria-label="What the finished covers tell">
      <p>
        {figures.covers} {figures.covers === 1 ? "cover" : "covers"}.{" "}
        {figures.pace > 0 ? (
          <>
            {figures.timed} timed steps took <strong>{figures.pace} times</strong> what is usual.{" "}
            {figures.pace !== now && (
              <button type="button" className="word-button" onClick={() => void take()}>
                Take that as my pace
              </button>
            )}
          </>
        ) : (
          `${figures.timed} steps were timed: from five on they tell a pace of your own.`
        )}{" "}
        {figures.measured > 0 && (
          <>
            Seams were {view.seams} on average, of {figures.measured} measured.{" "}
          </>
        )}
        {figures.troubles.length > 0 && (
          <>
            Most often:{" "}
            {figures.troubles
              .map((t) => `${troubles.find((k) => k.kind === t.kind)?.title.toLowerCase() ?? t.kind} (${t.count})`)
              .join(", ")}
            .
          </>
        )}
      </p>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
    </section>
  );
}

/** Two covers side by side. */
function Beside({ entries, close }: { entries: LogView[]; close: () => void }) {
  const rows: [string, (entry: LogView) => React.ReactNode][] = [
    [
      "Finished",
      (entry) =>
        new Date(entry.finished).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" }),
    ],
    ["Time", (entry) => (entry.minutes > 0 ? hours(entry.minutes) : "not said")],
    ...[...new Set(entries.flatMap((entry) => entry.gates.map((g) => g.title)))].map(
      (title): [string, (entry: LogView) => React.ReactNode] => [
        title,
        (entry) => {
          const gate = entry.gates.find((g) => g.title === title);
          return gate ? <GateLine gate={gate} /> : "none";
        },
      ],
    ),
    ["Estimated time", (entry) => hours(entry.usual)],
    ["Cost", (entry) => entry.cost || entry.planned_cost || "not said"],
    ["Went wrong", (entry) => String((entry.troubles ?? []).length)],
    ["Notes", (entry) => entry.notes],
    ["Next time", (entry) => entry.next],
  ];
  return (
    <section aria-label="Two covers side by side">
      <table className="methods beside">
        <thead>
          <tr>
            <td />
            {entries.map((entry) => (
              <th key={entry.id} scope="col">
                {entry.title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, of]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {entries.map((entry) => (
                <td key={entry.id}>{of(entry)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <button type="button" className="word-button" onClick={close}>
        No longer side by side
      </button>
    </section>
  );
}

function Entry({ entry, beside, set }: { entry: LogView; beside: boolean; set: (on: boolean) => void }) {
  const go = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const create = useNewPlan();
  const save = useChange((part: { notes: string; next: string; minutes: number; photos: number[] }) =>
    ask<LogView>("PUT", `/log/${entry.id}`, { base: entry.revision, ...part }),
  );
  const now = { minutes: entry.minutes, notes: entry.notes, next: entry.next, photos: entry.photos ?? [] };
  const picture = async (file: File) => {
    try {
      setProblem(null);
      const photo = await sendFile<PhotoView>("/photos", file);
      await keep({ photos: [...now.photos, photo.id] });
    } catch (error) {
      setProblem(sentence(error));
    }
  };
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
    // What was measured, done and planned for that one is not for the next.
    const { measured: _, progress: __, schedule: ___, ...plan } = entry.plan as unknown as Plan;
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
          {entry.minutes > 0 && ` after ${hours(entry.minutes)}, estimated were ${hours(entry.usual)}`}.
          {entry.planned_cost &&
            ` Cost as planned ${entry.planned_cost}${entry.cost && `, with the time it took ${entry.cost}`}.`}
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
        <ul className="photos">
          {now.photos.map((photo, i) => (
            <li key={photo}>
              <a href={`/api/v1/photos/${photo}`} target="_blank" rel="noreferrer">
                <img src={`/api/v1/photos/${photo}`} alt={`${entry.title}, ${i + 1}`} />
              </a>
              <button
                type="button"
                className="word-button"
                onClick={() => void keep({ photos: now.photos.filter((other) => other !== photo) })}
              >
                Remove<span className="sr-only"> photo {i + 1}</span>
              </button>
            </li>
          ))}
        </ul>
        <p>
          <FileButton label={`Photo of ${entry.title}`} accept="image/*" read={(file) => void picture(file)}>
            {(choose) => (
              <button type="button" className="word-button" onClick={choose}>
                Add a photo
              </button>
            )}
          </FileButton>{" "}
          <label>
            <input type="checkbox" checked={beside} onChange={(e) => set(e.target.checked)} /> side by side with another
          </label>
        </p>
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
          {gate.off && isOff(gate) ? (
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
