import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import type { Spoil } from "../api/api.gen";
import { T } from "../words/T";

/** What a change would spoil of what is done already: nothing is saved before one of three is chosen. */
export function Spoils({ of, settle }: { of: Spoil[]; settle: (how: "back" | "again" | "stays") => void }) {
  const kinds = {
    cut: of.filter((s) => s.kind === "cut"),
    step: of.filter((s) => s.kind === "step"),
    gate: of.filter((s) => s.kind === "gate"),
  };
  const gone = of.every((s) => s.why === "gone");
  return (
    <Dialog open aria-labelledby="spoils-title" onClose={() => settle("back")}>
      <DialogTitle id="spoils-title">This is done already</DialogTitle>
      <DialogContent>
        <p>Nothing is saved yet. The change spoils:</p>
        <Listed title="What is cut" of={kinds.cut} />
        <Listed title="Steps that are done" of={kinds.step} />
        <Listed title="What was measured" of={kinds.gate} />
        <p className="soft">
          {gone
            ? "What is not part of the plan any more leaves the record, and stays in the history."
            : "Do it again: what is cut comes back into the order of cuts, steps and measurements are open again, and what is too large counts as trimmed. Keep as is: it stays done, and the plan says what the difference does."}
        </p>
      </DialogContent>
      <DialogActions>
        {!gone && <Button onClick={() => settle("stays")}>Keep as is</Button>}
        <Button onClick={() => settle("again")}>{gone ? "Keep the change" : "Do it again"}</Button>
        <Button variant="contained" autoFocus onClick={() => settle("back")}>
          Take the change back
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const together: Record<string, string> = {
  resewn: "Done otherwise now",
  follows: "What they need is open again",
  gone: "Not part of the plan any more",
  unmeasured: "Measured on something else",
};

/** What is spoiled in sentences: steps and measurements for the same reason in one. */
function sentences(of: Spoil[]): string[] {
  return [...new Set(of.map((s) => s.why))].flatMap((why) => {
    const alike = of.filter((s) => s.why === why);
    if (alike.length === 1 || alike.some((s) => s.kind === "cut")) return alike.map((s) => s.text);
    return [`${together[why] ?? ""}: ${alike.map((s) => s.title.toLowerCase()).join(", ")}.`];
  });
}

function Listed({ title, of }: { title: string; of: Spoil[] }) {
  if (of.length === 0) return null;
  return (
    <>
      <h3>{title}</h3>
      <ul className="differences">
        {sentences(of).map((text) => (
          <li key={text}>
            <T>{text}</T>
          </li>
        ))}
      </ul>
    </>
  );
}
