import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useId, useState } from "react";
import type { LayoutView } from "../../api/api.gen";
import { ApiError, ask, sentence } from "../../api/client";
import { useStarts } from "../../api/queries";
import { usePlan } from "../../plan/context";
import { T } from "../../words/T";
import { useFace } from "./context";

interface Wishes {
  least: string;
  most: string;
  ready: string;
  sash: string;
  border: string;
}

const none: Wishes = { least: "", most: "", ready: "", sash: "", border: "any" };

/** Grids that fill the piece, within the limits, to choose from. */
export function Layouts() {
  const { config, become, the } = useFace();
  const { session, value } = usePlan();
  const starts = useStarts(String(value("/units") ?? "in")).data;
  const heading = useId();
  const [wishes, wish] = useState<Wishes>(none);
  const [found, setFound] = useState<LayoutView[] | null>(null);
  const [problems, setProblems] = useState<Record<string, string>>({});

  const find = async (w: Wishes) => {
    try {
      const list = await ask<LayoutView[]>("POST", "/layouts", { plan: session.current().plan, piece: config, ...w });
      setProblems({});
      setFound(list);
    } catch (error) {
      const errors = error instanceof ApiError ? (error.problem.errors ?? []) : [];
      setProblems(
        errors.length > 0
          ? Object.fromEntries(errors.map((e) => [e.path.slice(1), e.text]))
          : { piece: sentence(error) },
      );
      setFound((now) => now ?? []);
    }
  };
  const change = (key: keyof Wishes, text: string) => {
    const next = { ...wishes, [key]: text };
    wish(next);
    void find(next);
  };
  return (
    <p>
      <button type="button" className="word-button" onClick={() => void find(wishes)}>
        Find grids that fit {the}
      </button>
      <Dialog open={found !== null} onClose={() => setFound(null)} maxWidth="lg" fullWidth aria-labelledby={heading}>
        <DialogTitle id={heading}>Grids that fit {the}</DialogTitle>
        <DialogContent>
          <form className="wishes" onSubmit={(e) => e.preventDefault()}>
            <Wish
              label="Patches finish at least"
              name="least"
              placeholder={starts?.least ?? ""}
              wishes={wishes}
              problems={problems}
              change={change}
            />
            <Wish
              label="and at most"
              name="most"
              placeholder={starts?.most ?? ""}
              wishes={wishes}
              problems={problems}
              change={change}
            />
            <Wish
              label="Ready-cut squares or strips of"
              name="ready"
              placeholder="none"
              wishes={wishes}
              problems={problems}
              change={change}
            />
            <Wish
              label="Sashing of"
              name="sash"
              placeholder="none"
              wishes={wishes}
              problems={problems}
              change={change}
            />
            <label>
              Border
              <select value={wishes.border} onChange={(e) => change("border", e.target.value)}>
                <option value="any">with or without</option>
                <option value="yes">wanted</option>
                <option value="none">not wanted</option>
              </select>
            </label>
          </form>
          {problems.piece && (
            <p className="finding stop" role="alert">
              {problems.piece}
            </p>
          )}
          {found?.length === 0 && Object.keys(problems).length === 0 && (
            <p className="empty">
              No grid fits within these limits: let patches be larger or smaller, or allow a border.
            </p>
          )}
          <ol className="layouts">
            {found?.map((l) => (
              <li key={`${l.columns} ${l.rows} ${l.patch} ${l.sash}`}>
                <button
                  type="button"
                  onClick={() => {
                    become(l.face, `${l.columns} × ${l.rows} patches`);
                    setFound(null);
                  }}
                >
                  <Picture of={l} />
                  <strong>
                    <T>{`${l.columns} × ${l.rows} of ${l.patch}`}</T>
                  </strong>
                  <span>
                    <T>
                      {[l.sash && `sashing of ${l.sash}`, l.border ? `border ${l.border}` : "no border"]
                        .filter(Boolean)
                        .join(", ")}
                    </T>
                  </span>
                  <span className="soft">
                    <T>{l.reasons.join(", ")}</T>
                  </span>
                </button>
              </li>
            ))}
          </ol>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setFound(null)}>Keep as is</Button>
        </DialogActions>
      </Dialog>
    </p>
  );
}

function Wish({
  label,
  name,
  placeholder,
  wishes,
  problems,
  change,
}: {
  label: string;
  name: keyof Wishes;
  placeholder: string;
  wishes: Wishes;
  problems: Record<string, string>;
  change: (key: keyof Wishes, text: string) => void;
}) {
  const id = useId();
  const wrong = problems[name];
  return (
    <label>
      {label}
      <input
        value={wishes[name]}
        placeholder={placeholder}
        aria-invalid={wrong !== undefined}
        aria-describedby={wrong ? id : undefined}
        onChange={(e) => change(name, e.target.value)}
      />
      {wrong && (
        <span id={id} className="wish-wrong">
          {wrong}
        </span>
      )}
    </label>
  );
}

/** A layout drawn small, to its own proportions. */
function Picture({ of: l }: { of: LayoutView }) {
  const [w, h] = l.patch_size.map((n) => n / 1e6) as [number, number];
  const sash = l.sash_size / 1e6;
  const [bx, by] = l.border_size.map((n) => n / 1e6) as [number, number];
  const width = 2 * bx + l.columns * w + (l.columns - 1) * sash;
  const height = 2 * by + l.rows * h + (l.rows - 1) * sash;
  const cells = Array.from(
    { length: l.columns * l.rows },
    (_, i) => [i % l.columns, Math.floor(i / l.columns)] as const,
  );
  return (
    <svg className="layout-picture" viewBox={`0 0 ${width} ${height}`} width="104" height="104" aria-hidden="true">
      <rect className="ground" width={width} height={height} />
      {cells.map(([c, r]) => (
        <rect
          key={`${c} ${r}`}
          className={(c + r) % 2 ? "other" : "one"}
          x={bx + c * (w + sash)}
          y={by + r * (h + sash)}
          width={w}
          height={h}
        />
      ))}
    </svg>
  );
}
