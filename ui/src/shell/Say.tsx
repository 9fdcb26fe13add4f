import Button from "@mui/material/Button";
import Snackbar from "@mui/material/Snackbar";
import { createContext, type ReactNode, useCallback, useContext, useState } from "react";

interface Said {
  text: string;
  action?: { label: string; act: () => void };
  key: number;
}

type Say = (text: string, action?: Said["action"]) => void;

const Context = createContext<Say>(() => undefined);

/** Says in passing what was done, with a way back. */
export function SayProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState<Said | null>(null);
  const say = useCallback<Say>((text, action) => setSaid({ text, action, key: Date.now() }), []);
  const close = () => setSaid(null);
  return (
    <Context.Provider value={say}>
      {children}
      <Snackbar
        key={said?.key}
        open={said !== null}
        autoHideDuration={said?.action ? 30_000 : 8000} // a way back is there long enough to be found
        onClose={(_, reason) => reason !== "clickaway" && close()}
        message={said?.text}
        slotProps={{ content: { role: "status" } }} // what went well interrupts nobody
        action={
          said?.action && (
            <Button
              color="inherit"
              size="small"
              onClick={() => {
                said.action?.act();
                close();
              }}
            >
              {said.action.label}
            </Button>
          )
        }
      />
    </Context.Provider>
  );
}

export const useSay = () => useContext(Context);
