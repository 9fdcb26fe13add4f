import { Link } from "react-router";
import type { ScheduleView } from "../api/api.gen";
import { sentence } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { useSchedule } from "../api/queries";
import { Findings } from "../brief/Thread";
import { useOf, usePlan, useReckoning } from "../plan/context";
import { within } from "../plan/path";
import { hours } from "../words/hours";

const week = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];

/** A day as it is said, with its weekday. */
export function dayText(day: string): string {
  return new Date(`${day}T00:00:00Z`).toLocaleDateString("en-GB", {
    weekday: "long",
    day: "numeric",
    month: "long",
    timeZone: "UTC",
  });
}

/** When what is done, by the time there is on each day of the week. */
export function Schedule() {
  const { id, rework } = usePlan();
  const reckoning = useReckoning();
  const revision = useOf((s) => s.revision);
  const saving = useOf((s) => s.saving);
  const schedule = useSchedule(id, revision);
  const set = (part: Partial<NonNullable<Plan["schedule"]>>, label: string) =>
    rework((plan) => ({ ...plan, schedule: { ...plan.schedule, ...part } }), label);
  const view = schedule.data;
  return (
    <div className="page">
      <header className="page-head">
        <h1>Sewing days</h1>
        <a
          className={saving === "saved" ? "word-button no-print" : "word-button no-print waiting"}
          href={`/api/v1/plans/${id}/schedule.ics`}
        >
          Calendar file
        </a>
        <Link className="word-button no-print" to="../sew">
          Back to the steps
        </Link>
      </header>
      <Findings of={reckoning.findings.filter((f) => within(f.about, "/schedule"))} />
      {schedule.isError && (
        <p className="finding stop" role="alert">
          {sentence(schedule.error)}
        </p>
      )}
      {view && <Planned view={view} set={set} />}
    </div>
  );
}

function Planned({
  view,
  set,
}: {
  view: ScheduleView;
  set: (part: Partial<NonNullable<Plan["schedule"]>>, label: string) => void;
}) {
  const { plan } = usePlan();
  const own = plan.schedule ?? {};
  const lost = own.lost ?? [];
  const minutes = (at: number, text: string) => {
    const value = Number(text);
    if (text.trim() === "" || !Number.isInteger(value)) return;
    set({ minutes: view.minutes.map((m, i) => (i === at ? value : m)) }, `${week[at]}: ${value} minutes`);
  };
  return (
    <>
      <fieldset className="week">
        <legend>Minutes there are</legend>
        {week.map((name, i) => (
          <label key={name} className="line-field">
            <span>{name}</span>
            <input
              key={view.minutes[i]}
              inputMode="numeric"
              defaultValue={view.minutes[i]}
              onBlur={(e) => e.target.value !== String(view.minutes[i]) && minutes(i, e.target.value)}
              onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
            />
          </label>
        ))}
      </fieldset>
      <div className="line-fields">
        <label className="line-field">
          <span>From</span>
          <input
            type="date"
            value={own.from ?? ""}
            onChange={(e) => set({ from: e.target.value }, `from ${e.target.value || "today"}`)}
          />
        </label>
        <label className="line-field">
          <span>It must be ready on</span>
          <input
            type="date"
            value={own.due ?? ""}
            onChange={(e) => set({ due: e.target.value }, `due ${e.target.value || "any day"}`)}
          />
        </label>
        <label className="wash">
          <input
            type="checkbox"
            checked={own.wash ?? false}
            onChange={(e) => set({ wash: e.target.checked }, e.target.checked ? "wash first" : "no washing")}
          />{" "}
          Wash the fabrics first; they dry over night
        </label>
      </div>
      <Outcome view={view} />
      <ol className="days">
        {view.days.map((day) => (
          <li key={day.day}>
            <h2>
              <time dateTime={day.day}>{dayText(day.day)}</time>
            </h2>
            <ul>
              {day.sittings.map((sitting) => (
                <li key={`${sitting.step} ${sitting.begins}`}>
                  {sitting.title}, {sitting.minutes} min
                  {!sitting.begins && <span className="soft">, gone on with</span>}
                  {!sitting.ends && <span className="soft">, not finished</span>}
                </li>
              ))}
            </ul>
            <button
              type="button"
              className="word-button no-print"
              onClick={() => set({ lost: [...lost, day.day] }, `no time on ${day.day}`)}
            >
              No time that day<span className="sr-only">: {dayText(day.day)}</span>
            </button>
            {view.slips
              .filter((slip) => slip.day === day.day)
              .map((slip) => (
                <span key={slip.day} className="soft">
                  {" "}
                  {slip.later < 0
                    ? "Without it, it is not done within a year."
                    : slip.later === 0
                      ? "Without it, nothing slips."
                      : `Without it, all is done ${slip.later} ${slip.later === 1 ? "day" : "days"} later.`}
                </span>
              ))}
          </li>
        ))}
      </ol>
      {lost.length > 0 && (
        <p>
          No time on{" "}
          {lost.map((day) => (
            <span key={day}>
              {dayText(day)}{" "}
              <button
                type="button"
                className="word-button"
                onClick={() => set({ lost: lost.filter((other) => other !== day) }, `time on ${day} after all`)}
              >
                there is after all<span className="sr-only">: {dayText(day)}</span>
              </button>{" "}
            </span>
          ))}
        </p>
      )}
    </>
  );
}

/** What it comes to, in a sentence. */
function Outcome({ view }: { view: ScheduleView }) {
  if (view.total === 0) return <p className="large">All is done.</p>;
  if (!view.ends) {
    return (
      <p className="finding warn">
        {hours(view.total)} are left, and there is no time for them within a year. Say when there is some.
      </p>
    );
  }
  return (
    <p className="large" role="status">
      About {hours(view.total)} of work is left: done on {dayText(view.ends)}.{" "}
      {view.due && view.late > 0 && (
        <strong className="stop-text">
          That is {view.late} {view.late === 1 ? "day" : "days"} late.
        </strong>
      )}
      {view.due && view.late <= 0 && <span className="good-text">In time.</span>}
    </p>
  );
}
