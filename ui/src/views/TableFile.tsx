import Button from "@mui/material/Button";
import { useState } from "react";
import type { ClothFileView } from "../api/api.gen";
import { sendFile, sentence } from "../api/client";
import { useChange } from "../api/queries";
import { FileButton } from "../shell/FileButton";
import { useSay } from "../shell/Say";
import { T } from "../words/T";

/** A part of the cupboard as a table: out as CSV, and in after a look at what would change. */
export function TableFile({ place, all, label }: { place: "/cloths" | "/notions"; all: string; label: string }) {
  const say = useSay();
  const [file, setFile] = useState<File | null>(null);
  const [view, setView] = useState<ClothFileView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = useChange((from: File) => sendFile<ClothFileView>(`${place}/table?take=yes`, from));
  const look = async (from: File) => {
    setView(null);
    setProblem(null);
    setFile(from);
    try {
      setView(await sendFile<ClothFileView>(`${place}/table`, from));
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const takeIn = async () => {
    if (!file) return;
    try {
      const taken = await take.mutateAsync(file);
      setView(null);
      say(`${taken.added.length} put in, ${taken.changed.length} changed.`);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const nothing = view !== null && view.added.length + view.changed.length === 0;
  return (
    <section aria-label={`${label} as a table`}>
      <p className="soft">
        <a className="word-button" href={`/api/v1${place}.csv`}>
          Download as CSV<span className="sr-only">: {label.toLowerCase()}</span>
        </a>{" "}
        ·{" "}
        <FileButton label={`CSV file with ${all}`} accept=".csv,text/csv" read={(read) => void look(read)}>
          {(choose) => (
            <button type="button" className="word-button" onClick={choose}>
              Read a CSV file<span className="sr-only"> with {all}</span>
            </button>
          )}
        </FileButton>
      </p>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      {view && view.problems.length > 0 && (
        <div className="finding stop" role="alert">
          <p>Nothing was taken in. Put this right in the file and read it again:</p>
          <ul>
            {view.problems.map((p) => (
              <li key={`${p.row} ${p.column} ${p.text}`}>
                Row {p.row}
                {p.column && `, column ${p.column}`}: {p.text}
              </li>
            ))}
          </ul>
        </div>
      )}
      {view && view.problems.length === 0 && (
        <div className="table-look" role="status">
          <p>
            {nothing
              ? `All ${view.same} ${all} are in the cupboard just so.`
              : `${view.added.length} new, ${view.changed.length} changed, ${view.same} as they are.`}
          </p>
          <ul>
            {view.added.map((name) => (
              <li key={name}>
                <strong>{name}</strong> is put in
              </li>
            ))}
            {view.changed.map((c) => (
              <li key={c.name}>
                <strong>{c.name}</strong>: <T>{c.what.join(", ")}</T>
              </li>
            ))}
          </ul>
          <div className="row-actions">
            {!nothing && (
              <Button variant="contained" disabled={take.isPending} onClick={() => void takeIn()}>
                Take it in
              </Button>
            )}
            <Button variant="text" onClick={() => setView(null)}>
              Cancel
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
