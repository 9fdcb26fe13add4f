import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import TextField from "@mui/material/TextField";
import { type ReactNode, useId, useState } from "react";

/** Asks why something is done otherwise than planned; it is not done without a reason. */
export function Reason({
  open,
  title,
  children,
  act,
  keep,
  close,
}: {
  open: boolean;
  title: string;
  /** What follows from it. */
  children: ReactNode;
  /** The button that does it. */
  act: string;
  keep: (reason: string) => void;
  close: () => void;
}) {
  const id = useId();
  const [reason, setReason] = useState("");
  return (
    <Dialog open={open} onClose={close} aria-labelledby={id} fullWidth>
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent>
        {children}
        <TextField
          label="The reason"
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          fullWidth
          autoFocus
          margin="dense"
          slotProps={{ htmlInput: { maxLength: 400 } }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Cancel</Button>
        <Button
          variant="contained"
          disabled={reason.trim() === ""}
          onClick={() => {
            keep(reason.trim());
            setReason("");
            close();
          }}
        >
          {act}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
