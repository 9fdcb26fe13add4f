import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";

const everywhere = [
  ["Tab, Shift+Tab", "from value to value"],
  ["Enter", "keep what is typed"],
  ["Escape", "put it back as it was"],
  ["S", "to the shelf"],
  ["?", "this sheet"],
];

const inPlans = [
  ["1, 2, 3", "Draft, Cut, Sew"],
  ["F", "the draft folded up, and flat again"],
  ["Ctrl+Z", "undo"],
  ["Ctrl+Shift+Z, Ctrl+Y", "redo"],
  ["U", "inches or centimetres"],
  ["H", "history of the plan"],
];

const sewing = [
  ["D", "done, next step"],
  ["J, K", "the next step, the one before"],
  ["T", "the clock of the step"],
];

/** The sheet of shortcuts. */
export function Shortcuts({
  open,
  close,
  inPlan,
  inSew,
}: {
  open: boolean;
  close: () => void;
  inPlan: boolean;
  inSew: boolean;
}) {
  return (
    <Dialog open={open} onClose={close} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">By keyboard</DialogTitle>
      <DialogContent>
        <dl className="keys">
          {[...(inSew ? sewing : []), ...(inPlan ? inPlans : []), ...everywhere].map(([key, what]) => (
            <div key={key}>
              <dt>{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
