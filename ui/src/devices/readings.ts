import { useEffect, useRef, useState } from "react";
import type { ReadingView } from "../api/api.gen";
import { ask } from "../api/client";
import { onward, type Reads, target } from "./active";

/** A reading with what became of it. */
export interface Came {
  reading: ReadingView;
  /** Where it went, or that it went nowhere, in a sentence. */
  says: string;
  wrong: boolean;
}

/** How long to wait before asking once more when the server is away, in milliseconds. */
const patience = 2000;

const readsOf = (kind: string): Reads => (kind === "scale" ? "weight" : "length");

/** What a reading is called in a sentence. */
const named = (reading: ReadingView) => (reading.kind === "scale" ? `${reading.text} g` : reading.text);

/** Enters a reading into the value at hand. */
export async function entered(reading: ReadingView): Promise<Came> {
  if (reading.gone || reading.refused) return { reading, says: reading.says, wrong: true };
  if (!document.hasFocus())
    return { reading, says: `${named(reading)} came while another window was in front.`, wrong: true };
  const into = target(readsOf(reading.kind));
  if (!into) {
    return {
      reading,
      says: `${named(reading)} came, and no value was at hand. Click the value it belongs to and measure again.`,
      wrong: true,
    };
  }
  const taken = await into.take(reading.text);
  if (!taken)
    return { reading, says: `${named(reading)} cannot stand for ${into.label}: see what is said there.`, wrong: true };
  onward(into.input);
  return {
    reading,
    says: [`${named(reading)} is entered for ${into.label}.`, reading.says].filter(Boolean).join(" "),
    wrong: reading.says !== "",
  };
}

interface Hearing {
  /** Called with the number of every reading that was taken. */
  heard: (number: number) => void;
  /** Called when a gauge is gone. */
  again: () => void;
}

/** Takes readings while gauges are connected, and tells what became of the last one. */
export function useReadings(listening: boolean, after: number, hearing: Hearing): Came | null {
  const [came, setCame] = useState<Came | null>(null);
  const told = useRef(hearing);
  told.current = hearing;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the number to begin after counts when listening begins
  useEffect(() => {
    if (!listening) return;
    let since = after;
    const stop = new AbortController();
    const listen = async () => {
      while (!stop.signal.aborted) {
        try {
          const list = await ask<ReadingView[]>("GET", `/readings?after=${since}`, undefined, { signal: stop.signal });
          for (const reading of list) {
            since = reading.number;
            told.current.heard(since); // another place does not take it once more
            setCame(await entered(reading));
            if (reading.gone) told.current.again();
          }
        } catch {
          if (stop.signal.aborted) return;
          await new Promise((later) => setTimeout(later, patience));
        }
      }
    };
    void listen();
    return () => stop.abort();
  }, [listening]);
  return came;
}
