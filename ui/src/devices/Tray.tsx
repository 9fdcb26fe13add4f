import LinearProgress from "@mui/material/LinearProgress";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import type { DeviceView, JobView, StrokesView } from "../api/api.gen";
import { ask } from "../api/client";
import { T } from "../words/T";
import { useTarget } from "./active";
import { running, useDevices, useDoing } from "./devices";
import { useReadings } from "./readings";

/** The devices that are connected, below every place; nothing where there are none. */
export function Tray() {
  const devices = useDevices();
  const doing = useDoing();
  const list = devices.data?.devices ?? [];
  const gauges = list.filter((d) => d.connected && d.faults);
  const came = useReadings(gauges.length > 0, devices.data?.last ?? 0, doing);
  const jobs = (devices.data?.jobs ?? []).filter((j) => running(j) || j === devices.data?.jobs[0]);
  const shown = gauges.length > 0 || jobs.length > 0 || came?.reading.gone;
  if (!shown) return null;
  return (
    <aside className="tray no-print" aria-label="Devices">
      {gauges.map((d) => (
        <GaugeLine key={d.id} device={d} press={(size) => void doing.press(d.id, size)} />
      ))}
      {came && (
        <p className={came.wrong ? "tray-said wrong" : "tray-said"} role="status">
          <T>{came.says}</T>
        </p>
      )}
      {doing.problem && (
        <p className="tray-said wrong" role="alert">
          {doing.problem}
        </p>
      )}
      {jobs.map((job) => (
        <Job
          key={job.number}
          job={job}
          resume={() => void doing.resume(job.number)}
          cancel={() => void doing.cancel(job.number)}
        />
      ))}
      <Link className="word-button tray-link" to="/devices">
        All devices
      </Link>
    </aside>
  );
}

/** A gauge, what its readings go into, and the button of a stand-in. */
function GaugeLine({ device, press }: { device: DeviceView; press: (size: string) => void }) {
  const tape = device.kind === "tape";
  const into = useTarget(tape ? "length" : "weight");
  const [size, setSize] = useState(tape ? "41.3 cm" : "412 g");
  return (
    <div className="tray-gauge">
      <strong>{device.name}</strong>
      <span className="soft"> reads into </span>
      <span className="tray-into">{into ? into.label : "the value you click next"}</span>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          press(size);
        }}
      >
        <label>
          <span className="soft">{tape ? "it lies along" : "on it are"}</span>{" "}
          <input
            value={size}
            onChange={(e) => setSize(e.target.value)}
            size={9}
            autoComplete="off"
            spellCheck={false}
          />
        </label>
        {/* The value at hand keeps its focus. */}
        <button type="submit" onMouseDown={(e) => e.preventDefault()}>
          {tape ? "Measure" : "Weigh"}
        </button>
      </form>
    </div>
  );
}

const states: Record<string, string> = {
  working: "at work",
  jammed: "stopped",
  done: "done",
  stopped: "stopped",
  gone: "gone",
};

interface JobProps {
  job: JobView;
  resume: () => void;
  /** Ends it, or puts it away when it has ended. */
  cancel: () => void;
}

/** How far a job is, with what it draws, and what can be done about it. */
function Job({ job, resume, cancel }: JobProps) {
  const share = job.of > 0 ? (100 * job.done) / job.of : 0;
  const done = job.unit === "pages" ? `${Math.floor(job.done)} of ${job.of} pages` : `${Math.round(share)}%`;
  return (
    <section className="tray-job" aria-label={`${job.name} on the ${job.kind}`}>
      {job.kind === "cutter" && <Knife job={job} />}
      <div>
        <p>
          <strong>{job.name}</strong>{" "}
          <span className="soft">
            {states[job.state]}, {done}
          </span>
        </p>
        <LinearProgress variant="determinate" value={share} aria-label={`${job.name}: how far it is`} />
        <p className={job.state === "jammed" || job.state === "gone" ? "tray-said wrong" : "tray-said"} role="status">
          {job.says}
        </p>
        <span className="row-actions">
          {job.state === "jammed" && (
            <button type="button" className="word-button" onClick={resume}>
              Go on
            </button>
          )}
          <button type="button" className="word-button" onClick={cancel}>
            {running(job) ? "Cancel" : "Clear"}
          </button>
          {job.kind === "printer" && job.state === "done" && (
            <a className="word-button" href={`/api/v1/jobs/${job.number}/pages.pdf`} target="_blank" rel="noreferrer">
              What came out
            </a>
          )}
        </span>
      </div>
    </section>
  );
}

/** What a cutter has done and what is left, to scale. */
function Knife({ job }: { job: JobView }) {
  const { data } = useQuery({
    queryKey: ["strokes", job.number],
    queryFn: () => ask<StrokesView>("GET", `/jobs/${job.number}/strokes`),
    staleTime: Number.POSITIVE_INFINITY,
  });
  if (!data) return <div className="tray-knife" />;
  const [x1, y1, x2, y2] = data.box as [number, number, number, number];
  const edge = Math.max(x2 - x1, y2 - y1) * 0.03;
  return (
    <svg
      className="tray-knife"
      viewBox={`${x1 - edge} ${-y2 - edge} ${x2 - x1 + 2 * edge} ${y2 - y1 + 2 * edge}`}
      role="img"
      aria-label={`What the ${job.kind} has done`}
    >
      {data.strokes.map((s) => (
        <g key={s.from}>
          <path className="knife-left" d={s.path} />
          {job.done > s.from && (
            <path
              className={s.cuts ? "knife-cut" : "knife-drawn"}
              d={s.path}
              strokeDasharray={`${job.done - s.from} ${s.to - s.from}`}
            />
          )}
        </g>
      ))}
    </svg>
  );
}
