import { useState } from "react";
import { Link } from "react-router";
import type { HabitHelp, HabitsView } from "../api/api.gen";
import { sentence } from "../api/client";
import { useHabits } from "../api/queries";
import { T } from "../words/T";
import { inUnits, type Kept, useKeepHabits } from "./units";

/** The schools a new plan follows, each with its reason. */
export function Habits() {
  const habits = useHabits();
  const [problem, setProblem] = useState<string | null>(null);
  const save = useKeepHabits();
  if (!habits.data) {
    return (
      <div className="page">
        <h1>Habits</h1>
        {habits.isError && (
          <p className="finding stop" role="alert">
            {sentence(habits.error)}
          </p>
        )}
      </div>
    );
  }
  const view = habits.data;
  const keep = async (part: (now: HabitsView) => Partial<Kept>) => {
    try {
      setProblem(null);
      await save.mutateAsync(part);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <div className="page habits">
      <header className="page-head">
        <h1>Habits</h1>
        <Link className="word-button" to="/practice">
          Practice
        </Link>
        <Link className="word-button" to="/devices">
          Devices
        </Link>
      </header>
      <p className="soft">
        A new plan begins with these; a plan already begun keeps its own, in its brief. The reasons are common practice.
      </p>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      <Group
        help={{
          key: "units",
          name: "Units",
          about: "What a bare number means, and how sizes are shown.",
          schools: [
            { value: "in", name: "inches", reason: "With real fractions, as on a tape." },
            { value: "cm", name: "centimetres", reason: "To the millimetre." },
            { value: "mm", name: "millimetres", reason: "Whole, no decimal point to misread." },
          ],
        }}
        value={view.units}
        choose={(units) => void keep(inUnits(units))}
      />
      {view.help.map((help) => (
        <Group
          key={help.key}
          help={help}
          value={view.chosen[help.key] ?? ""}
          choose={(value) => void keep((now) => ({ habits: { ...now.habits, [help.key]: value || undefined } }))}
        />
      ))}
      <fieldset className="habit">
        <legend>Decided already</legend>
        <p className="soft">Makers differ on these too; the app does it one way, and says why.</p>
        <dl className="decided">
          {view.decided.map((d) => (
            <div key={d.value}>
              <dt>{d.name}</dt>
              <dd className="soft">{d.reason}</dd>
            </div>
          ))}
        </dl>
      </fieldset>
      <Money
        habits={view.habits as Record<string, unknown>}
        keep={(part) => void keep((now) => ({ habits: { ...now.habits, ...part } }))}
      />
    </div>
  );
}

/** What an hour and a sale are reckoned at, where a plan does not say it. */
function Money({ habits, keep }: { habits: Record<string, unknown>; keep: (part: Record<string, unknown>) => void }) {
  const field = (key: "wage" | "margin" | "currency", label: string, hint: string) => {
    const now = habits[key] === undefined ? "" : String(habits[key]);
    return (
      <label className="line-field">
        <span>{label}</span>
        <input
          key={now}
          defaultValue={now}
          placeholder={hint}
          inputMode={key === "currency" ? "text" : "decimal"}
          onBlur={(e) => {
            const text = e.target.value.trim();
            if (text === now) return;
            const number = Number(text.replace(",", "."));
            keep({ [key]: key === "currency" || !Number.isFinite(number) ? text : text === "" ? undefined : number });
          }}
          onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
        />
      </label>
    );
  };
  return (
    <fieldset className="habit">
      <legend>Money</legend>
      <p className="soft">What a batch is worked out with; each plan can say otherwise where it tells what it costs.</p>
      <div className="line-fields">
        {field("wage", "An hour of work", "18")}
        {field("margin", "On top for selling, in percent", "25")}
        {field("currency", "What money is called", "€")}
      </div>
    </fieldset>
  );
}

/** One habit with its schools. */
export function Group({ help, value, choose }: { help: HabitHelp; value: string; choose: (value: string) => void }) {
  const [picked, setPicked] = useState({ over: value, value });
  const shown = picked.over === value ? picked.value : value; // at once, until the server answers
  const pick = (next: string) => {
    setPicked({ over: value, value: next });
    choose(next);
  };
  return (
    <fieldset className="habit">
      <legend>{help.name}</legend>
      <p className="soft">{help.about}</p>
      {help.schools.map((school) => (
        <label key={school.value} className="school">
          <input
            type="radio"
            name={help.key}
            value={school.value}
            checked={shown === school.value}
            onChange={() => pick(school.value)}
          />
          <span>
            <strong>
              <T>{school.name}</T>
            </strong>
            <span className="soft">{school.reason}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}
