import { useState } from "react";
import { Link } from "react-router";
import type { DeviceView, SetDevice } from "../api/api.gen";
import { sentence } from "../api/client";
import { useDevices, useDoing } from "../devices/devices";
import { LetIn } from "./LetIn";

const tells: Record<string, string> = {
  tape: "Sends what it reads into the value or the measuring step that is at hand. Click a value, lay the tape on, press its button; at a measuring step the next side follows by itself.",
  scale: "Sends grams: of the fibre that an insert is filled with, and of a piece of fabric whose length is wanted.",
  cutter: "Cuts a piece or a template at true size from HP-GL or SVG. Send it from beside the drawing.",
  printer: "Prints the plan on paper, and labels for the piles.",
};

const units: Record<string, string> = {
  in: "inches",
  cm: "centimetres",
  mm: "millimetres",
  g: "grams",
  oz: "ounces",
  none: "no unit at all",
  "cm-as-in": "centimetres, but says inches",
};

/** What stands by the workshop: connected or not, and what a stand-in is made to do. */
export function Devices() {
  const devices = useDevices();
  const doing = useDoing();
  return (
    <div className="page">
      <header className="page-head">
        <h1>Devices</h1>
        <Link className="word-button" to="/habits">
          Back to the habits
        </Link>
      </header>
      <p className="soft">
        These are stand-ins: they show what a device would do, and can be made to fail. Nothing leaves this machine. A
        cutter has a blade and a printer moving parts: with real ones their manuals come first.
      </p>
      {devices.isError && (
        <p className="finding stop" role="alert">
          {sentence(devices.error)}
        </p>
      )}
      {doing.problem && (
        <p className="finding stop" role="alert">
          {doing.problem}
        </p>
      )}
      {devices.data?.devices.map((d) => (
        <Device key={d.id} device={d} set={(change) => void doing.set(d.id, change)} />
      ))}
      <LetIn />
    </div>
  );
}

function Device({ device, set }: { device: DeviceView; set: (change: SetDevice) => void }) {
  const { faults, pace } = device;
  return (
    <fieldset className="habit device">
      <legend>{device.name}</legend>
      <p className="soft">{tells[device.kind]}</p>
      <label className="school">
        <input type="checkbox" checked={device.connected} onChange={(e) => set({ connected: e.target.checked })} />
        <span>
          <strong>Connected</strong>
          <span className="soft">{device.connected ? "it is listened to" : "it is left alone"}</span>
        </span>
      </label>
      {faults && (
        <p className="device-line">
          It sends{" "}
          <select
            aria-label={`Unit of the ${device.kind}`}
            value={faults.unit}
            onChange={(e) => set({ faults: { ...faults, unit: e.target.value } })}
          >
            {device.units.map((u) => (
              <option key={u} value={u}>
                {units[u] ?? u}
              </option>
            ))}
          </select>
          , off by up to{" "}
          <Amount
            label={`Noise of the ${device.kind}`}
            value={faults.noise}
            keep={(noise) => set({ faults: { ...faults, noise } })}
          />{" "}
          {device.kind === "scale" ? "g" : "mm"} at each reading; its battery is at{" "}
          <Amount
            label={`Battery of the ${device.kind}`}
            value={faults.battery}
            keep={(battery) => set({ faults: { ...faults, battery: Math.round(battery) } })}
          />
          %.
        </p>
      )}
      {pace && (
        <p className="device-line">
          It does{" "}
          <Amount
            label={`Speed of the ${device.kind}`}
            value={pace.speed}
            keep={(speed) => set({ pace: { ...pace, speed } })}
          />{" "}
          {device.kind === "cutter" ? "mm" : "pages"} a second and jams after{" "}
          <Amount
            label={`Share after which the ${device.kind} jams`}
            value={pace.jam_after}
            keep={(jam_after) => set({ pace: { ...pace, jam_after } })}
          />
          % of a job; 0 is never.
        </p>
      )}
      <label className="school">
        <input
          type="checkbox"
          checked={Boolean(faults?.gone ?? pace?.gone)}
          onChange={(e) =>
            set(
              faults
                ? { faults: { ...faults, gone: e.target.checked } }
                : { pace: pace && { ...pace, gone: e.target.checked } },
            )
          }
        />
        <span>
          <strong>Vanished</strong>
          <span className="soft">it does not answer any more, also in the middle of something</span>
        </span>
      </label>
    </fieldset>
  );
}

/** A number that is kept when it is left or Enter is pressed. */
function Amount({ label, value, keep }: { label: string; value: number; keep: (value: number) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const finish = () => {
    const next = Number((draft ?? "").replace(",", "."));
    if (draft !== null && draft.trim() !== "" && Number.isFinite(next) && next !== value) keep(next);
    setDraft(null);
  };
  return (
    <input
      className="device-number"
      aria-label={label}
      inputMode="decimal"
      size={5}
      value={draft ?? String(value)}
      onChange={(e) => setDraft(e.target.value)}
      onBlur={finish}
      onKeyDown={(e) => e.key === "Enter" && finish()}
    />
  );
}
