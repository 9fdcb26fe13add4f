import Button from "@mui/material/Button";
import { useState } from "react";
import { ask } from "../api/client";
import { takeAway } from "../api/once";
import { useChange, useMake } from "../api/queries";
import { useSay, useTrying } from "../shell/Say";
import { T } from "../words/T";

/** A thing in the cupboard: changed where it stands, taken out, and put back. */
export function useHeld<Doc>(of: {
  place: "/cloths" | "/notions";
  as: "cloth" | "notion";
  id: number;
  revision: number;
  name: string;
  doc: unknown;
}) {
  const say = useSay();
  const trying = useTrying();
  const [editing, edit] = useState(false);
  const save = useChange((doc: Doc) => ask("PUT", `${of.place}/${of.id}`, { base: of.revision, [of.as]: doc }));
  const remove = useChange(() => takeAway(`${of.place}/${of.id}`));
  const back = useMake(of.place, (doc: unknown) => ({ [of.as]: doc }));
  return {
    editing,
    edit: () => edit(true),
    leave: () => edit(false),
    keep: async (doc: Doc) => {
      await save.mutateAsync(doc);
      edit(false);
    },
    takeOut: () =>
      trying(async () => {
        await remove.mutateAsync(undefined);
        say(`${of.name} is out of the cupboard.`, { label: "Put it back", act: () => back.mutateAsync(of.doc) });
      }),
  };
}

/** What can be done with a thing in the cupboard. */
export function HeldActions({ name, edit, takeOut }: { name: string; edit: () => void; takeOut: () => Promise<void> }) {
  return (
    <span className="row-actions">
      <button type="button" className="word-button" onClick={edit}>
        Change<span className="sr-only"> {name}</span>
      </button>
      <button type="button" className="word-button" onClick={() => void takeOut()}>
        Remove<span className="sr-only"> {name}</span>
      </button>
    </span>
  );
}

/** The foot of a form: what is wrong with it, and its two ways out. */
export function KeepOrLeave({ problem, leave }: { problem: { text: string } | null; leave: () => void }) {
  return (
    <>
      {problem && (
        <p className="finding stop" role="alert">
          <T>{problem.text}</T>
        </p>
      )}
      <div className="row-actions">
        <Button type="submit" variant="contained">
          Save
        </Button>
        <Button variant="text" onClick={leave}>
          Cancel
        </Button>
      </div>
    </>
  );
}
