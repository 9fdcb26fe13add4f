import Button from "@mui/material/Button";
import Snackbar from "@mui/material/Snackbar";
import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from "react";
import { sentence } from "../api/client";

interface Action {
  label: string;
  /** What may fail is awaited: it is said, and can be pressed again. */
  act: () => unknown;
}

interface Said {
  text: string;
  action?: Action;
  wrong?: boolean;
  key: number;
}

interface Saying {
  say: (text: string, action?: Action) => void;
  trying: (act: Action["act"], label?: string) => Promise<void>;
}

const Context = createContext<Saying>({ say: () => undefined, trying: async (act) => void (await act()) });

/** Says in passing what was done, with a way back, or what could not be done. */
export function SayProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState<Said | null>(null);
  const say = useCallback<Saying["say"]>((text, action) => setSaid({ text, action, key: Date.now() }), []);
  const trying = useCallback<Saying["trying"]>(async (act, label = "Try again") => {
    try {
      await act();
    } catch (error) {
      setSaid({ text: sentence(error), action: { label, act }, wrong: true, key: Date.now() });
    }
  }, []);
  const close = () => setSaid(null);
  return (
    <Context.Provider value={useMemo(() => ({ say, trying }), [say, trying])}>
      {children}
      <Snackbar
        key={said?.key}
        open={said !== null}
        autoHideDuration={said?.action ? 30_000 : 8000} // a way back is there long enough to be found
        onClose={(_, reason) => reason !== "clickaway" && close()}
        message={said?.text}
        slotProps={{ content: { role: said?.wrong ? "alert" : "status" } }} // what went well interrupts nobody
        action={
          said?.action && (
            <Button
              color="inherit"
              size="small"
              onClick={() => {
                const { act, label } = said.action as Action;
                close();
                void trying(act, label);
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

export const useSay = () => useContext(Context).say;

/** Does what may fail: where it does it is said, with a way to try it again. */
export const useTrying = () => useContext(Context).trying;
