import { type KeyboardEvent, useEffect, useId, useRef, useState } from "react";
import { whenFree } from "../api/press";
import { atHand, gone, type Reads } from "../devices/active";
import { T } from "../words/T";

interface Props {
  /** What the value is, for those who do not see the sentence. */
  label: string;
  /** The value as it is kept. */
  text: string;
  /** The value as it is shown. */
  shown: string;
  /** Says what is wrong with a typed text, or null. One that is meant is judged to the end; others give way to the next. */
  judge: (text: string, meant: boolean) => Promise<string | null>;
  /** Keeps a text that nothing is wrong with; it is kept when the answer is there. */
  keep: (text: string) => void | Promise<void>;
  /** Called when typing is given up. */
  drop?: () => void;
  /** Marks the kept value as one that cannot stand. */
  wrong?: boolean;
  numeric?: boolean;
  path?: string;
  /** What a gauge can read into it. */
  reads?: Reads;
}

/** Milliseconds of rest after which a half-typed text is taken to be meant. */
const whileTyping = 900;

/**
 * A value set in a sentence. It is a real text field that is edited in place:
 * what is typed is judged at once, Enter or leaving keeps it, Escape puts it
 * back. Text that cannot be read stays as it was typed, with what to type
 * instead.
 */
export function Field({ label, text, shown, judge, keep, drop, wrong, numeric, path, reads }: Props) {
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [focused, setFocused] = useState(false);
  const inside = useRef(false);
  const latest = useRef("");
  const keeping = useRef(false);
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const note = useId();

  /** Judges a text; what is wrong with it is said at once, or when typing pauses. */
  const ask = async (next: string, patience: number) => {
    latest.current = next;
    clearTimeout(pause.current);
    const said = await judge(next, patience === 0);
    if (latest.current !== next) return said;
    if (said === null || patience === 0) setError(said);
    else pause.current = setTimeout(() => setError(said), patience);
    return said;
  };

  const finish = async () => {
    if (draft === null) return;
    if (draft.trim() === text) {
      giveUp();
      return;
    }
    if ((await ask(draft, 0)) && place.current) return; // stays as typed; of a field that is gone the plan tells it
    await settle(draft);
  };

  /** Keeps a text, once; it stands as typed until it is kept, and what is typed meanwhile stays. */
  const settle = async (typed: string) => {
    if (keeping.current) return;
    keeping.current = true;
    try {
      await keep(typed.trim());
    } finally {
      keeping.current = false;
    }
    setDraft((now) => (now === typed ? null : now));
  };

  const giveUp = () => {
    latest.current = "";
    clearTimeout(pause.current);
    setDraft(null);
    setError(null);
    drop?.();
  };

  /** Enters what a gauge read; it stays as if typed where it cannot stand. */
  const take = async (next: string) => {
    setDraft(next);
    if (await ask(next, 0)) return false;
    await settle(next);
    return true;
  };
  const taking = useRef(take);
  taking.current = take;
  const place = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const input = place.current;
    return () => {
      if (input) gone(input);
    };
  }, []);

  const keys = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "Enter") void finish();
    if (event.key === "Escape" && draft !== null) {
      event.stopPropagation();
      giveUp();
    }
  };

  const open = focused || draft !== null;
  return (
    <span className="value-place">
      <span
        className={`value${open ? " open" : ""}${draft !== null ? " typing" : ""}${error || wrong ? " wrong" : ""}`}
      >
        <span className="value-shown" aria-hidden="true">
          {open ? (draft ?? text) || " " : <T>{shown || "…"}</T>}
        </span>
        <input
          aria-label={label}
          aria-invalid={error || wrong ? true : undefined}
          aria-describedby={error ? note : undefined}
          value={draft ?? text}
          inputMode={numeric ? "decimal" : "text"}
          autoComplete="off"
          spellCheck={false}
          data-path={path}
          data-reads={reads}
          ref={place}
          onFocus={(e) => {
            inside.current = true;
            setFocused(true);
            if (reads) atHand({ reads, label, take: (next) => taking.current(next), input: e.target });
            e.target.select();
          }}
          onBlur={() => {
            inside.current = false;
            whenFree(() => setFocused(inside.current)); // nothing moves away from under what is pressed instead
            void finish();
          }}
          onChange={(e) => {
            setDraft(e.target.value);
            void ask(e.target.value, whileTyping);
          }}
          onKeyDown={keys}
        />
      </span>
      {error && (
        <span className="value-note" id={note} role="alert">
          <T>{error}</T>
        </span>
      )}
    </span>
  );
}
