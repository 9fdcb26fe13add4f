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
  ["T", "the timer of the step"],
];

const sizes = [
  ["16 1/2, 16½, 16.5", "in the unit things are shown in"],
  ["41 cm, 410 mm, 16 in", "in its own unit, whatever is shown"],
  ["4 1/2 cut", "as it is cut: patches, strips, borders, sashing, flaps, the cover"],
];

/** The sheet of shortcuts, and of how a size is typed. */
export function Shortcuts({ close, inPlan, inSew }: { close: () => void; inPlan: boolean; inSew: boolean }) {
  return (
    <Dialog open onClose={close} aria-labelledby="keys-title">
      <DialogTitle id="keys-title">By keyboard</DialogTitle>
      {/* It scrolls where it is longer than the window, by the keys as well. */}
      <DialogContent tabIndex={0}>
        <Listed of={[...(inSew ? sewing : []), ...(inPlan ? inPlans : []), ...everywhere]} />
        {inPlan && (
          <>
            <h3>A size is typed</h3>
            <Listed of={sizes} />
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

function Listed({ of }: { of: string[][] }) {
  return (
    <dl className="keys">
      {of.map(([key, what]) => (
        <div key={key}>
          <dt>{key}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}
