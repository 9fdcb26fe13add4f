import { usePlan } from "../plan/context";
import { Value } from "./Value";

/** What the tape said of the front, where it can be put right. */
export function MeasuredFront() {
  const at = usePlan().reckoning.measured_front;
  if (at === undefined) return null;
  return (
    <>
      The front measured <Value path={`/measured/${at}/width`} label="Front as measured, across" /> across and{" "}
      <Value path={`/measured/${at}/height`} label="Front as measured, up" /> up: it can be cut.
    </>
  );
}
