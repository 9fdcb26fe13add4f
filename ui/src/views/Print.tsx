import Button from "@mui/material/Button";
import { useState } from "react";
import { SendTo } from "../devices/SendTo";
import { useOf, usePlan, useReckoning } from "../plan/context";
import { Files } from "../sheet/Files";
import { Pattern } from "./Pattern";

const parts = [
  ["cover", "Title page", "what it finishes as, its pieces, and what is taken of each fabric"],
  ["cuts", "Cuts", "each with a box to tick"],
  ["tapes", "Sums", "the sizes of the pieces as tapes"],
  ["lays", "Cutting layouts", "every fabric to scale, with its cuts in their order"],
  ["pressing", "Pressing", "where the allowances lie, seen from the back"],
  ["steps", "Steps", "in working order with what lies on what, and room for what is measured"],
  ["templates", "Templates", "outlines that no ruler cuts, at true size, over several pages where they are large"],
] as const;

/** The plan on paper: which parts, on which paper. */
export function Print() {
  const { id, value } = usePlan();
  const reckoning = useReckoning();
  const saving = useOf((s) => s.saving);
  const [paper, setPaper] = useState(String(value("/units") ?? "in") === "in" ? "letter" : "a4");
  const [left, setLeft] = useState<readonly string[]>([]);
  const wanted = parts.map(([key]) => key).filter((key) => !left.includes(key));
  const query = new URLSearchParams({ paper, ...(left.length > 0 && { parts: wanted.join(",") }) });
  const ready = reckoning.pieces.length > 0 && wanted.length > 0 && saving === "saved";
  return (
    <div className="page">
      <h1>On paper</h1>
      {reckoning.pieces.length === 0 ? (
        <p className="empty">There is nothing to print yet: the plan cannot be cut as it stands.</p>
      ) : (
        <p className="large">One PDF with what is needed at the cutting table and at the machine, to be written on.</p>
      )}
      <fieldset className="habit">
        <legend>Paper</legend>
        {[
          ["a4", "A4", "210 × 297 mm"],
          ["letter", "Letter", "8½ × 11 in"],
        ].map(([key, name, size]) => (
          <label key={key} className="school">
            <input type="radio" name="paper" checked={paper === key} onChange={() => setPaper(key ?? "a4")} />
            <span>
              <strong>{name}</strong>
              <span className="soft">{size}</span>
            </span>
          </label>
        ))}
      </fieldset>
      <fieldset className="habit">
        <legend>Parts</legend>
        {parts.map(([key, name, tells]) => (
          <label key={key} className="school">
            <input
              type="checkbox"
              checked={!left.includes(key)}
              onChange={(e) =>
                setLeft((now) => (e.target.checked ? now.filter((other) => other !== key) : [...now, key]))
              }
            />
            <span>
              <strong>{name}</strong>
              <span className="soft">{tells}</span>
            </span>
          </label>
        ))}
      </fieldset>
      <p className="caution">
        Print at 100%, not fitted to the page, and measure one of the squares on the first page of templates before you
        cut.
      </p>
      <div className="row-actions">
        {ready ? (
          <Button
            variant="contained"
            size="large"
            component="a"
            href={`/api/v1/plans/${id}/pack.pdf?${query}`}
            target="_blank"
            rel="noreferrer"
          >
            Open the PDF
          </Button>
        ) : (
          <Button variant="contained" size="large" disabled>
            Open the PDF
          </Button>
        )}
        {ready && (
          <SendTo
            kind="printer"
            job={{ sort: "pack", paper, parts: left.length > 0 ? wanted.join(",") : undefined }}
            what="The plan"
          />
        )}
        {reckoning.pieces.length > 0 && <Files sort="pieces" what="All pieces" />}
      </div>
      {reckoning.pieces.length > 0 && (
        <p>
          To give it to somebody:{" "}
          <a className="word-button" href={`/api/v1/plans/${id}/page.html`} download>
            one page with all of it
          </a>
          , which opens in any browser, without the app.
        </p>
      )}
      {reckoning.pieces.length > 0 && <Pattern />}
    </div>
  );
}
