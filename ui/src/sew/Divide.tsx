import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import TextField from "@mui/material/TextField";
import { useId, useState } from "react";
import type { Step } from "../api/api.gen";
import { newKey } from "../plan/keys";
import { useProgress, without } from "./progress";

const most = 12;

/** The parts of a step, by their names. */
const parted = (names: string[]) => names.map((name, i) => ({ key: `${newKey().slice(0, 4)}${i + 1}`, name }));

/** Divides a step into parts, each done and timed by itself, or puts them together again. */
export function Divide({
  step,
  steps,
  look,
}: {
  step: Step;
  steps: Step[];
  look: (id: string, parts?: boolean) => void;
}) {
  const { set } = useProgress();
  const [open, setOpen] = useState(false);
  if (step.of) {
    const parts = steps.filter((s) => s.of === step.of);
    if (parts.some((s) => s.done)) return null;
    const whole = step.of;
    return (
      <button
        type="button"
        className="word-button"
        onClick={() => {
          set((p) => ({ ...p, parts: without(p.parts, whole) }), `${step.title}: put together again`);
          look(whole);
        }}
      >
        Put it together again
      </button>
    );
  }
  return (
    <>
      <button type="button" className="word-button" onClick={() => setOpen(true)}>
        Divide it
      </button>
      {open && (
        <Parts
          title={step.title}
          close={() => setOpen(false)}
          keep={(names) => {
            set(
              (p) => ({ ...p, parts: { ...p.parts, [step.id]: parted(names) } }),
              `${step.title}: in ${names.length} parts`,
            );
            look(step.id, true);
          }}
        />
      )}
    </>
  );
}

function Parts({ title, keep, close }: { title: string; keep: (names: string[]) => void; close: () => void }) {
  const id = useId();
  const [text, setText] = useState("first half\nsecond half");
  const names = text
    .split("\n")
    .map((line) => line.trim())
    .filter((line) => line !== "");
  const fine = names.length >= 2 && names.length <= most && names.every((name) => name.length <= 60);
  return (
    <Dialog open onClose={close} aria-labelledby={id} fullWidth>
      <DialogTitle id={id}>Divide: {title.toLowerCase()}</DialogTitle>
      <DialogContent>
        <p>
          Each part is ticked off and timed by itself. What is cut belongs to the first, what is measured or pressed to
          the last.
        </p>
        <TextField
          label="Its parts, one on each line"
          value={text}
          onChange={(e) => setText(e.target.value)}
          multiline
          minRows={3}
          fullWidth
          autoFocus
          margin="dense"
          error={!fine}
          helperText={fine ? " " : `Name 2 to ${most} parts, each in up to 60 characters.`}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Leave it whole</Button>
        <Button
          variant="contained"
          disabled={!fine}
          onClick={() => {
            keep(names);
            close();
          }}
        >
          Divide it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
