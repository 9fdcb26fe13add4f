import Button from "@mui/material/Button";
import { useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { BroughtIn, Reckoning, ShelfItem, ThingView, Vertex } from "../api/api.gen";
import { ApiError, ask, sendFile, sentence } from "../api/client";
import { takeAway } from "../api/once";
import type { Plan } from "../api/plan.gen";
import { beginPlan, readAgain, useChange, useHabits, useNewPlan, useShelf, useStarts } from "../api/queries";
import { Choice } from "../brief/Choice";
import { Field } from "../brief/Field";
import { around, PieceDrawing } from "../sheet/PieceDrawing";
import { FileButton } from "../shell/FileButton";
import { useSay, useTrying } from "../shell/Say";
import { dressed } from "../words/fractions";
import { T } from "../words/T";
import { exact, inUnits, unitNames, useKeepHabits } from "./units";

/** All plans, where they stand, and the start of a new one. */
export function Shelf() {
  const shelf = useShelf();
  const habits = useHabits();
  const units = habits.data?.units;
  const begins = useStarts(units ?? "in");
  const starts = begins.data;
  // What stands above is there first: nothing is pushed down.
  const below = !habits.isPending && !begins.isPending && !shelf.isPending;
  const [begun, carry] = useState<Begun | null>(null);
  // What one begins with is drawn in slices when it first comes, and many plans behind it.
  const begin = useDeferredValue(starts !== undefined);
  const plans = useDeferredValue(below ? shelf.data : undefined, undefined);
  return (
    <div className="page">
      <h1 className="sr-only">Shelf</h1>
      {begin && units && starts && (
        <Starter key={units} units={units} things={starts.things} begun={begun} carry={carry} />
      )}
      {shelf.isError && (
        <p className="finding stop" role="alert">
          {sentence(shelf.error)}
        </p>
      )}
      {plans?.length === 0 && (
        <p className="empty">The shelf is empty. Say above what is to be covered, or open a plan file.</p>
      )}
      <ul className="shelf">
        {plans?.map((item) => (
          <PlanCard key={item.id} item={item} />
        ))}
      </ul>
      {plans && <Whole />}
    </div>
  );
}

/** The whole workshop as one file, out and in. */
function Whole() {
  const say = useSay();
  const [problem, setProblem] = useState<string | null>(null);
  const client = useQueryClient();
  const bring = async (file: File) => {
    try {
      setProblem(null);
      const much = await sendFile<BroughtIn>("/workshop", file);
      await readAgain(client);
      say(
        `Brought in: ${much.plans} plans, ${much.cloths} fabrics, ${much.notions} notions, ${much.samples} samples, ${much.covers} finished covers, ${much.photos} photos.`,
      );
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <section className="whole" aria-label="The whole workshop">
      <p className="soft">
        The whole workshop:{" "}
        <a className="word-button" href="/api/v1/workshop.zip" download>
          save it as one file
        </a>
        , or{" "}
        <FileButton label="File of a whole workshop" accept=".zip,application/zip" read={(file) => void bring(file)}>
          {(choose) => (
            <button type="button" className="word-button" onClick={choose}>
              bring one in
            </button>
          )}
        </FileButton>{" "}
        where nothing is yet.
      </p>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
    </section>
  );
}

const stageWords: Record<string, string> = {
  measure: "measuring",
  cut: "at the cutting table",
  piece: "being pieced",
  quilt: "being quilted",
  back: "waits for its back",
  close: "being closed",
};

/** What comes next, in a line. */
function standing(item: ShelfItem): string {
  if (item.coming) return "being worked out";
  if (item.next) return `next: ${item.next.toLowerCase()}`;
  return item.steps > 0 ? "all steps done" : "no steps yet";
}

function PlanCard({ item }: { item: ShelfItem }) {
  const say = useSay();
  const trying = useTrying();
  const away = useChange(() => takeAway(`/plans/${item.id}`));
  const back = useChange(() => ask("POST", `/plans/${item.id}/bring-back`, {}));
  const front = item.pieces[0];
  const stops = item.findings.filter((f) => f.level === "stop").length;
  const warns = item.findings.filter((f) => f.level === "warn").length;
  const putAway = async () => {
    await away.mutateAsync(undefined);
    say(`${item.title} is put away.`, { label: "Bring it back", act: () => back.mutateAsync(undefined) });
  };
  return (
    <li className="plan-card">
      <Link to={`/plans/${item.id}`} className="plan-link">
        <div className="plan-picture">
          {front ? (
            <svg viewBox={pictureBox(front.outline)} aria-hidden="true">
              <PieceDrawing piece={front} swatches={item.swatches} outlines={false} />
            </svg>
          ) : (
            <span className="soft">{item.coming ? "being worked out" : "cannot be cut yet"}</span>
          )}
        </div>
        <h2>{item.title}</h2>
      </Link>
      <p>
        <T>{item.size}</T>
        {item.finished
          ? " · finished, in the log"
          : item.stage
            ? ` · ${item.done === 0 ? "not begun" : stageWords[item.stage]}`
            : ""}
      </p>
      <p className="progress">
        <span className="sr-only">
          {item.done} of {item.steps} steps done,
        </span>
        <span className="progress-thread" aria-hidden="true">
          <span style={{ width: `${item.steps ? (100 * item.done) / item.steps : 0}%` }} />
        </span>
        <span className="soft">{standing(item)}</span>
      </p>
      {item.findings.some((f) => f.code === "unreadable") ? (
        <p className="stop-text">
          This plan cannot be read.{" "}
          <a className="word-button" href={`/api/v1/plans/${item.id}/plan.json`} download>
            Save its file
          </a>{" "}
          to mend it.
        </p>
      ) : (
        stops + warns > 0 && (
          <p className={stops ? "stop-text" : "warn-text"}>
            {stops ? `${stops} to put right before cutting` : `${warns} to watch`}
          </p>
        )
      )}
      <button type="button" className="word-button" onClick={() => void trying(putAway)}>
        Put away<span className="sr-only"> {item.title}</span>
      </button>
    </li>
  );
}

function pictureBox(outline: Vertex[]): string {
  const box = around(outline);
  const side = Math.max(box.width, box.height);
  const rim = side * 0.015;
  return `${box.x + (box.width - side) / 2 - rim} ${box.y + (box.height - side) / 2 - rim} ${side + 2 * rim} ${side + 2 * rim}`;
}

/** What a maker types about a thing before its plan begins. */
type Sizes = Record<string, string>;

/** The same, on its way to another unit: sizes that were typed. */
interface Begun {
  key: string;
  title: string;
  fill: string;
  sizes: Sizes;
}

/** A new plan, begun by saying what is to be covered. */
function Starter({
  units,
  things,
  begun,
  carry,
}: {
  units: string;
  things: ThingView[];
  begun: Begun | null;
  carry: (begun: Begun) => void;
}) {
  const usual = (key: string): Sizes => ({ ...things.find((t) => t.key === key)?.usual }) as Sizes;
  const [key, setKey] = useState(begun?.key ?? things[0]?.key ?? "");
  const [sizes, setSizes] = useState<Sizes>({ ...usual(key), ...begun?.sizes });
  const [fill, setFill] = useState(begun?.fill ?? "feather");
  const [title, setTitle] = useState(begun?.title ?? "");
  const keep = useKeepHabits();
  const [problem, setProblem] = useState<string | null>(null);
  const go = useNavigate();
  const create = useNewPlan();
  const thing = things.find((t) => t.key === key);
  const measures = thing?.measures ?? [];
  // What is typed is judged by the server; beginning waits for what was typed last.
  const now = useRef(sizes);
  const judging = useRef<Promise<unknown>>(Promise.resolve());
  // What stands in a field and is not taken yet: nothing is begun with what stood there before.
  const typed = useRef<Sizes>({});
  const set = (part: Sizes) => {
    now.current = { ...now.current, ...part };
    setSizes(now.current);
    for (const measure of Object.keys(part)) delete typed.current[measure];
  };
  const take = (next: string) => {
    now.current = usual(next);
    typed.current = {};
    setSizes(now.current);
    setKey(next);
  };
  const plan = (size: Sizes, name: string) =>
    beginPlan({ thing: key, sizes: size, title: name, ...(thing?.filled ? { fill } : {}) });

  const judge = (measure: string) => (text: string) => {
    typed.current[measure] = text;
    const answer = said(measure, text).catch(sentence);
    judging.current = answer;
    return answer;
  };
  /** What is wrong with a size, or null; throws where there is no answer. */
  const said = async (measure: string, text: string) => {
    try {
      const reckoned = await ask<Reckoning>("POST", "/reckon", await plan({ ...now.current, [measure]: text }, "new"));
      const wrong = reckoned.findings.find((f) => f.level === "stop" && f.about === `/object/${measure}`);
      return wrong ? `${wrong.text} ${wrong.remedy ?? ""}` : null;
    } catch (error) {
      if (error instanceof ApiError && !error.passes) return error.problem.errors?.[0]?.text ?? error.message;
      throw error;
    }
  };
  /** Takes what stands in the fields; the first that cannot be taken. */
  const untaken = async () => {
    for (const m of measures) {
      const text = typed.current[m.key];
      if (text === undefined) continue;
      if (await said(m.key, text)) return m;
      set({ [m.key]: text });
    }
  };
  // What was typed stays what it is; what is usual is usual in the other unit.
  const another = async (next: string) => {
    const before = usual(key);
    const changed = Object.entries(now.current).filter(([size, text]) => text !== before[size]);
    carry({ key, title, fill, sizes: Object.fromEntries(changed.map(([size, text]) => [size, exact(text, units)])) });
    try {
      await keep.mutateAsync(inUnits(next));
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const begin = async (doc: Plan | string) => {
    setProblem(null);
    try {
      const made = await create.mutateAsync(doc);
      go(`/plans/${made.id}`);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const start = async () => {
    await judging.current;
    await Promise.resolve(); // the field keeps its text right after it was judged
    try {
      const wrong = await untaken();
      if (wrong) setProblem(`Nothing was begun: the ${wrong.label.toLowerCase()} is to be put right first.`);
      else await begin(await plan(now.current, title));
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const open = async (chosen: File) => {
    if (chosen.size > 1 << 20) {
      setProblem(
        `${chosen.name} is ${Math.round(chosen.size / 1e6)} MB, too large for a plan file: at most 1 MB. Is it the right file?`,
      );
      return;
    }
    const text = await chosen.text();
    try {
      JSON.parse(text);
    } catch {
      setProblem(`${chosen.name} is not a plan file: a plan is JSON that begins with {"format": "umschlag/plan/2".`);
      return;
    }
    await begin(text);
  };
  return (
    <section className="starter" aria-label="Start a plan" data-measures>
      <p className="large">
        There is{" "}
        <Choice
          label="What is to be covered"
          value={key}
          options={things.map((t) => ({ value: t.key, name: t.name }))}
          choose={take}
        />
        {measures.map((m, i) => (
          <span key={`${key} ${m.key}`}>
            {i > 0 && i === measures.length - 1 ? " and " : ", "}
            <Field
              label={m.label}
              text={sizes[m.key] ?? ""}
              shown={dressed(sizes[m.key] ?? "", units)}
              judge={judge(m.key)}
              reads="length"
              keep={(text) => set({ [m.key]: text })}
              drop={() => set({ [m.key]: now.current[m.key] ?? "" })}
            />{" "}
            {m.says}
          </span>
        ))}
        {thing?.filled && (
          <>
            , filled with{" "}
            <Choice
              label="Filling of the insert"
              value={fill}
              options={["feather", "polyester", "foam"].map((v) => ({ value: v, name: v }))}
              choose={setFill}
            />
          </>
        )}
        . Its cover is called{" "}
        <span className="value-place">
          <span className="value open-text">
            <span className="value-shown" aria-hidden="true">
              {title || "a new cover"}
            </span>
            <input
              aria-label="Name of the cover"
              value={title}
              placeholder="a new cover"
              maxLength={120}
              onChange={(e) => setTitle(e.target.value)}
            />
          </span>
        </span>
        . Sizes are in{" "}
        <Choice label="Unit of the workshop" value={units} options={unitNames} choose={(next) => void another(next)} />.
      </p>
      <div className="step-actions">
        <Button variant="contained" size="large" disabled={create.isPending} onClick={() => void start()}>
          Plan this cover
        </Button>
        <FileButton label="A plan file" accept=".json,application/json" read={(file) => void open(file)}>
          {(choose) => (
            <Button variant="text" onClick={choose}>
              Open a plan file
            </Button>
          )}
        </FileButton>
      </div>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
    </section>
  );
}
