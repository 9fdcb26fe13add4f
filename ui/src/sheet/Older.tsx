import { useOf } from "../plan/context";

/** Says that what is shown is of the plan before its stop; nothing where it is of the plan as it stands. */
export function Older() {
  const older = useOf((s) => s.older);
  if (!older) return null;
  return (
    <p className="stale-note" role="status">
      Older than the plan: as it was before the stop in the brief. No files of it are given out.
    </p>
  );
}
