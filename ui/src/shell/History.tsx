import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useQuery } from "@tanstack/react-query";
import type { HistoryEntry } from "../api/api.gen";
import { ask } from "../api/client";

/** Every version of the plan, each of which can be brought back. */
export function History({
  id,
  revision,
  restore,
  close,
}: {
  id: string;
  revision: number;
  restore: (revision: number) => void;
  close: () => void;
}) {
  const entries = useQuery({
    queryKey: ["history", id, revision],
    queryFn: () => ask<HistoryEntry[]>("GET", `/plans/${id}/history`),
  });
  return (
    <Dialog open onClose={close} fullWidth maxWidth="sm" aria-labelledby="history-title">
      <DialogTitle id="history-title">History of the plan</DialogTitle>
      <DialogContent>
        <ol className="history" reversed>
          {entries.data?.map((e) => (
            <li key={e.revision}>
              <span>
                {e.label || "changed"}
                <br />
                <time className="soft" dateTime={e.made}>
                  {new Date(e.made).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" })}
                </time>
              </span>
              {e.revision === revision ? (
                <span className="soft">as it is</span>
              ) : (
                <Button
                  size="small"
                  onClick={() => restore(e.revision)}
                  aria-label={`Bring back revision ${e.revision}`}
                >
                  Bring back
                </Button>
              )}
            </li>
          ))}
        </ol>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
