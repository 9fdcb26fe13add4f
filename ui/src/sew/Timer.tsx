import { useEffect, useState } from "react";
import type { Step } from "../api/api.gen";
import { useKeys } from "../shell/keys";
import { elapsed, useProgress, without } from "./progress";

/** The time of a step: taken while it lasts, kept on the disk from its first moment, and corrected where the clock is not to be believed. */
export function Timer({ step }: { step: Step }) {
  const { now, set } = useProgress();
  const running = now.running?.step === step.id ? now.running : undefined;
  const [ticks, tick] = useState(() => new Date());
  const [jumped, setJumped] = useState(false);
  useEffect(() => {
    if (!running) return;
    const every = setInterval(() => tick(new Date()), 5000);
    return () => clearInterval(every);
  }, [running]);
  const lasted = running ? elapsed(running.since, ticks) : null;
  const took = now.times?.[step.id];
  const begin = () => {
    setJumped(false);
    set((p) => ({ ...p, running: { step: step.id, since: new Date().toISOString() } }), `time of ${step.title} begins`);
  };
  const end = () => {
    const minutes = running ? elapsed(running.since, new Date()) : null;
    setJumped(minutes === null);
    set((p) => {
      const { running: _, ...rest } = p;
      return minutes === null
        ? rest
        : { ...rest, times: { ...p.times, [step.id]: Math.round(((p.times?.[step.id] ?? 0) + minutes) * 10) / 10 } };
    }, `time of ${step.title} ends`);
  };
  useKeys({ t: () => (running ? end() : begin()) });
  const correct = (text: string) => {
    const minutes = Number(text.replace(",", "."));
    if (text.trim() === "") set((p) => ({ ...p, times: without(p.times, step.id) }), `no time of ${step.title}`);
    else if (Number.isFinite(minutes) && minutes >= 0) {
      set((p) => ({ ...p, times: { ...p.times, [step.id]: minutes } }), `time of ${step.title}: ${minutes}`);
      setJumped(false);
    }
  };
  return (
    <div className="timer">
      <span className="soft">About {step.minutes} min</span>
      {running ? (
        <>
          <span role="timer">{minutesText(lasted ?? 0)} so far</span>
          <span role="status" className="soft">
            {lasted !== null && lasted >= step.minutes && "The usual time is over."}
          </span>
          <button type="button" className="word-button" onClick={end}>
            Stop the timer
          </button>
        </>
      ) : (
        <button type="button" className="word-button" onClick={begin}>
          {took ? "Go on with the timer" : "Start the timer"}
        </button>
      )}
      <label>
        <span className="soft">It took</span>{" "}
        <input
          key={took ?? "none"}
          className="minutes"
          inputMode="decimal"
          aria-label={`Minutes ${step.title} took`}
          defaultValue={took ?? ""}
          placeholder="–"
          onBlur={(e) => e.target.value.trim() !== String(took ?? "") && correct(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
        />{" "}
        <span className="soft">min</span>
      </label>
      {jumped && (
        <p className="finding warn" role="alert">
          The timer jumped, or was left running over night. Type how long it was.
        </p>
      )}
    </div>
  );
}

const minutesText = (minutes: number) => (minutes < 1 ? "under a minute" : `${Math.round(minutes)} min`);
