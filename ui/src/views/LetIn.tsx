import Button from "@mui/material/Button";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { CodeView, DoorView } from "../api/api.gen";
import { ask, sentence } from "../api/client";

const clock = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });

/** How a tablet or a phone is let in, where others can reach the app at all. */
export function LetIn() {
  const door = useQuery({ queryKey: ["door"], queryFn: () => ask<DoorView>("GET", "/door") });
  const [code, setCode] = useState<CodeView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  if (!door.data?.asked) return null;
  const make = async () => {
    try {
      setProblem(null);
      setCode(await ask<CodeView>("POST", "/door/codes"));
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <section aria-labelledby="let-in">
      <h2 id="let-in" className="kind">
        A tablet or a phone
      </h2>
      <p>
        It is let in by a code that works once: open this app’s address on it, and type the code there instead of the
        access key.
      </p>
      <Button variant="outlined" onClick={() => void make()}>
        {code ? "Make another code" : "Make a code"}
      </Button>
      <p className="large" role="status">
        {code && (
          <>
            <strong className="let-in-code">{code.code}</strong> is good until {clock.format(new Date(code.till))}.
          </>
        )}
      </p>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      {door.data.fingerprint && (
        <p className="soft">
          The other browser does not know this app’s certificate and asks. Trust it where its SHA-256 fingerprint is{" "}
          <span className="fingerprint">{door.data.fingerprint}</span>
        </p>
      )}
    </section>
  );
}
