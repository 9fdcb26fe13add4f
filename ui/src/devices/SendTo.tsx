import type { SendJob } from "../api/api.gen";
import { useOf, usePlan } from "../plan/context";
import { useDevices, useDoing } from "./devices";

/** Sends something of the plan to a maker that is connected; nothing where none is. */
export function SendTo({
  kind,
  job,
  what,
}: {
  kind: "cutter" | "printer";
  job: Omit<SendJob, "device">;
  what: string;
}) {
  const { id } = usePlan();
  const saving = useOf((s) => s.saving);
  const { data } = useDevices();
  const doing = useDoing();
  const maker = data?.devices.find((d) => d.kind === kind && d.connected);
  if (!maker) return null;
  return (
    <>
      <button
        type="button"
        className="word-button"
        disabled={saving !== "saved"}
        aria-label={`${what} to the ${kind}`}
        onClick={() => void doing.send(id, { ...job, device: maker.id })}
      >
        {kind === "cutter" ? "Cutter" : `Send to the ${kind}`}
      </button>
      {doing.problem && (
        <span className="value-note" role="alert">
          {doing.problem}
        </span>
      )}
    </>
  );
}
