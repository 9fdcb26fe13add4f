import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import type { Spoil } from "../api/api.gen";
import { T } from "../words/T";

/** What a change would spoil of what is cut already: nothing is saved before one of three is chosen. */
export function Spoils({ of, settle }: { of: Spoil[]; settle: (how: "back" | "again" | "stays") => void }) {
  const sewn = [...new Set(of.flatMap((s) => s.sewn))];
  return (
    <Dialog open aria-labelledby="spoils-title" onClose={() => settle("back")}>
      <DialogTitle id="spoils-title">This is cut already</DialogTitle>
      <DialogContent>
        <p>Nothing is saved yet. The change spoils:</p>
        <ul className="differences">
          {of.map((s) => (
            <li key={s.cut}>
              <T>{s.text}</T>
            </li>
          ))}
        </ul>
        {sewn.length > 0 && <p>Sewn with it: {sewn.map((title) => title.toLowerCase()).join(", ")}. That would have to come apart.</p>}
        <p className="soft">
          Cut again: it comes back into the order of cuts, and what is too large counts as trimmed. Leave as it is: it stays cut, and the
          plan says what the difference does.
        </p>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => settle("stays")}>Leave it as it is cut</Button>
        <Button onClick={() => settle("again")}>Cut it again</Button>
        <Button variant="contained" autoFocus onClick={() => settle("back")}>
          Take the change back
        </Button>
      </DialogActions>
    </Dialog>
  );
}
