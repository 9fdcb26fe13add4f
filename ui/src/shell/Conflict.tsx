import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import type { Brief } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";
import { labelOf } from "../brief/labels";
import { differences } from "../plan/path";
import type { Conflicting } from "../plan/state";

/** The plan was changed in another window: both versions, and a choice. */
export function Conflict({
  mine,
  brief,
  theirs,
  resolve,
}: {
  mine: Plan;
  /** The brief of the plan here, in whose words it is asked. */
  brief: Brief;
  theirs: Conflicting;
  resolve: (keep: "mine" | "theirs") => void;
}) {
  const { apart } = theirs;
  const differing = apart ? differences(apart.mine, apart.theirs) : differences(mine, theirs.plan);
  return (
    <Dialog open aria-labelledby="conflict-title">
      <DialogTitle id="conflict-title">The plan was changed in another window</DialogTitle>
      <DialogContent>
        <p>
          Nothing was overwritten. {apart ? "Both windows changed this otherwise" : "These decisions differ"}; what only
          one of them changed is kept, whichever you follow:
        </p>
        <ul className="differences">
          {differing.slice(0, 12).map((d) => {
            const told = labelOf(brief, d.path);
            return (
              <li key={d.path}>
                <span className="soft">{told?.label ?? d.path.slice(1).replaceAll("/", " · ")}</span>
                <br />
                here <strong>{told?.says(d.a) ?? shown(d.a)}</strong>, there{" "}
                <strong>{told?.says(d.b) ?? shown(d.b)}</strong>
              </li>
            );
          })}
          {differing.length > 12 && <li>and {differing.length - 12} more</li>}
          {differing.length === 0 && <li>Both say the same by now.</li>}
        </ul>
      </DialogContent>
      <DialogActions>
        <Button onClick={() => resolve("theirs")}>Take the other window’s</Button>
        <Button variant="contained" onClick={() => resolve("mine")}>
          Keep this window’s
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function shown(value: unknown): string {
  if (value === undefined) return "nothing";
  if (Array.isArray(value)) return "another one";
  const text = typeof value === "string" ? value : JSON.stringify(value);
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
}
