import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { type KeyboardEvent, useEffect, useId, useMemo, useState } from "react";
import type { BlockView, EditBlock, PatchView } from "../../api/api.gen";
import { ApiError, ask, sentence } from "../../api/client";
import { Pattern } from "../../cloth/Pattern";
import { useDrawn, usePlan } from "../../plan/context";
import { swatchesOf } from "../../plan/swatches";
import { T } from "../../words/T";
import { useLetters } from "../letters";
import { clothOf, corners } from "./BlockPicture";
import { useFace } from "./context";

const side = 120;

/** The divisions, each with a drawing of what it makes. */
const divisions: { sign: string; count?: number; name: string; draws: string; of: "rectangle" | "triangle" }[] = [
  { sign: "|", count: 2, name: "into two columns", draws: "M12 0V24", of: "rectangle" },
  { sign: "|", count: 3, name: "into three columns", draws: "M8 0V24M16 0V24", of: "rectangle" },
  { sign: "-", count: 2, name: "into two rows", draws: "M0 12H24", of: "rectangle" },
  { sign: "-", count: 3, name: "into three rows", draws: "M0 8H24M0 16H24", of: "rectangle" },
  { sign: "/", name: "along the rising diagonal", draws: "M0 24L24 0", of: "rectangle" },
  { sign: "\\", name: "along the falling diagonal", draws: "M0 0L24 24", of: "rectangle" },
  { sign: "x", name: "along both diagonals", draws: "M0 0L24 24M0 24L24 0", of: "rectangle" },
  { sign: "^", name: "into a flying geese unit pointing up", draws: "M0 24L12 0L24 24", of: "rectangle" },
  { sign: "v", name: "into a flying geese unit pointing down", draws: "M0 0L12 24L24 0", of: "rectangle" },
  { sign: "<", name: "into a flying geese unit pointing left", draws: "M24 0L0 12L24 24", of: "rectangle" },
  { sign: ">", name: "into a flying geese unit pointing right", draws: "M0 0L24 12L0 24", of: "rectangle" },
  { sign: "o", name: "into a square on its point", draws: "M12 0L24 12L12 24L0 12Z", of: "rectangle" },
  { sign: ":", name: "from its long side to the corner across", draws: "M0 24L12 0L24 24ZM12 0V24", of: "triangle" },
];

/** A block that is divided patch by patch, its cuts seen at once. */
export function BlockEditor({ text, close }: { text: string; close: () => void }) {
  const { face, become, at, config } = useFace();
  const plain = useLetters().filter((l) => /^[A-Z]$/.test(l.value));
  const { value } = usePlan();
  const drawn = useDrawn();
  const title = useId();
  const [block, setBlock] = useState<BlockView | null>(null);
  const [chosen, choose] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const [typed, type] = useState<string | null>(null);
  const letters = (at("/cloths") ?? []) as string[];

  const ask_ = async (change: Partial<EditBlock>, from = block?.text ?? text): Promise<BlockView | null> => {
    try {
      const next = await ask<BlockView>("POST", "/block", { text: from, ...change });
      setProblem(null);
      setBlock(next);
      return next;
    } catch (error) {
      setProblem(
        error instanceof ApiError ? (error.problem.errors?.[0]?.text ?? error.problem.detail) : sentence(error),
      );
      return null;
    }
  };
  const keep = async (change: Partial<EditBlock>, label: string, from?: string) => {
    const next = await ask_(change, from);
    if (next) become({ ...face, block: { cells: next.text }, cloths: enough(letters, next.letters, plain) }, label);
    return next;
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: read at first, and again when the plan has it otherwise, as after an undo
  useEffect(() => {
    if (block?.text !== text) void ask_({}, text).then((b) => block === null && choose(b?.patches[0]?.path ?? ""));
  }, [text]);

  const patch = block?.patches.find((p) => p.path === chosen) ?? block?.patches[0];
  const divide = async (sign: string, count: number | undefined, name: string) => {
    if (!patch) return;
    const next = "ABCDEFGHIJKLMNOPQRSTUVWXYZ"[(patch.letter.charCodeAt(0) - 64) % 26] ?? "B";
    const used = block?.letters.find((l) => l !== patch.letter) ?? next;
    const after = await keep(
      { change: "divide", path: patch.path, sign, letter: used, ...(count && { count }) },
      `patch divided ${name}`,
    );
    if (after) choose(after.patches.find((p) => p.path.startsWith(patch.path ? `${patch.path}.` : ""))?.path ?? "");
  };
  const read = async () => {
    if (typed === null) return;
    const next = await keep({}, "block written", typed);
    if (next) type(null);
  };
  return (
    <Dialog open onClose={close} maxWidth="md" fullWidth aria-labelledby={title}>
      <DialogTitle id={title}>Divide the block</DialogTitle>
      <DialogContent>
        {block && patch && (
          <div className="block-editor">
            <Canvas
              block={block}
              cloths={letters}
              chosen={patch}
              choose={choose}
              letter={(l) => void keep({ change: "letter", path: patch.path, letter: l }, `patch of ${l}`)}
            />
            <div className="block-tools">
              <fieldset>
                <legend>Patch {patch.letter} is fabric</legend>
                <LetterButtons
                  block={block}
                  patch={patch}
                  cloths={letters}
                  give={(l) => void keep({ change: "letter", path: patch.path, letter: l }, `patch of ${l}`)}
                />
              </fieldset>
              <fieldset>
                <legend>Divide it</legend>
                <div className="division-buttons">
                  {divisions
                    .filter((d) => (d.of === "triangle") === patch.triangle)
                    .map((d) => (
                      <button
                        key={d.name}
                        type="button"
                        aria-label={d.name}
                        title={d.name}
                        onClick={() => void divide(d.sign, d.count, d.name)}
                      >
                        <svg width="30" height="30" viewBox="-2 -2 28 28" aria-hidden="true">
                          {d.of === "rectangle" && <rect width="24" height="24" />}
                          <path d={d.draws} />
                        </svg>
                      </button>
                    ))}
                </div>
              </fieldset>
              <p>
                <button
                  type="button"
                  className="word-button"
                  disabled={patch.path === ""}
                  onClick={() =>
                    void keep({ change: "join", path: patch.path }, "patches made one").then((b) =>
                      choose(b?.patches[0]?.path ?? ""),
                    )
                  }
                >
                  Make one patch again of this and its neighbours
                </button>
              </p>
              {patch.share > 0 && (
                <p>
                  Its share of the row or column:{" "}
                  {[1, 2, 3, 4].map((n) => (
                    <button
                      key={n}
                      type="button"
                      className="share-button"
                      aria-pressed={n === patch.share}
                      onClick={() => void keep({ change: "share", path: patch.path, count: n }, `share of ${n}`)}
                    >
                      {n}
                    </button>
                  ))}
                </p>
              )}
            </div>
          </div>
        )}
        <label className="block-text">
          As it is written
          <textarea
            rows={2}
            value={typed ?? block?.text ?? text}
            onChange={(e) => type(e.target.value)}
            onBlur={() => void read()}
            onKeyDown={(e) => {
              if (e.key === "Enter") {
                e.preventDefault();
                void read();
              }
              if (e.key === "Escape" && typed !== null) {
                e.stopPropagation();
                type(null);
                setProblem(null);
              }
            }}
            spellCheck={false}
          />
        </label>
        {problem && (
          <p className="finding stop" role="alert">
            {problem}
          </p>
        )}
        <CutsOfBlock
          cuts={drawn.cuts.filter((c) => c.piece === config && c.layer === "outer")}
          cloths={value("/cloths")}
        />
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={close}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** The cloths of the face, with others of the plan added until every letter of the block has one of its own. */
export function enough(cloths: string[], letters: readonly string[], plan: readonly { value: string }[]): string[] {
  const wanted = Math.max(0, ...letters.map((l) => l.charCodeAt(0) - 64));
  const more = plan.map((l) => l.value).filter((l) => !cloths.includes(l));
  return [...cloths, ...more.slice(0, Math.max(0, wanted - cloths.length))];
}

/** The block large, its patches to be chosen by pointer and key. */
function Canvas({
  block,
  cloths,
  chosen,
  choose,
  letter,
}: {
  block: BlockView;
  cloths: string[];
  chosen: PatchView;
  choose: (path: string) => void;
  letter: (letter: string) => void;
}) {
  const { value } = usePlan();
  const id = useId();
  const described = value("/cloths");
  const swatches = useMemo(() => swatchesOf(described), [described]);
  const cloth = clothOf(cloths);
  const paths = [...new Set(block.patches.map((p) => p.path))];
  const keys = (e: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
    if (step) {
      e.preventDefault();
      choose(paths[(paths.indexOf(chosen.path) + step + paths.length) % paths.length] ?? "");
    } else if (/^[a-zA-Z]$/.test(e.key) && !e.ctrlKey && !e.metaKey && !e.altKey) {
      e.preventDefault();
      e.stopPropagation();
      letter(e.key.toUpperCase());
    }
  };
  return (
    <svg
      className="block-canvas"
      viewBox={`-1 -1 ${side + 2} ${side + 2}`}
      // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a drawing whose patches are chosen like options of a list
      role="listbox"
      tabIndex={0}
      aria-label="Patches of the block: arrow keys go from one to the next, a letter gives it a fabric"
      aria-activedescendant={`${id}${chosen.path}`}
      onKeyDown={keys}
    >
      <defs>
        {block.letters.map((l) => (
          <Pattern key={l} id={`${id}fabric${l}`} swatch={swatches[cloth(l)]} />
        ))}
      </defs>
      {block.patches.map((p, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: corners that are one part have one path
          key={`${p.path} ${i}`}
          id={i === block.patches.findIndex((q) => q.path === p.path) ? `${id}${p.path}` : undefined}
          role="option"
          aria-selected={p.path === chosen.path}
          aria-label={`${p.letter}, patch ${i + 1} of ${block.patches.length}`}
          d={corners(p.line, side)}
          fill={`url(#${id}fabric${p.letter})`}
          onClick={() => choose(p.path)}
        />
      ))}
      {block.patches
        .filter((p) => p.path === chosen.path)
        .map((p) => (
          <path key={corners(p.line, side)} className="chosen no-pointer" d={corners(p.line, side)} />
        ))}
      {block.patches.map((p) => {
        const x = p.line.reduce((sum, [px]) => sum + px, 0) / p.line.length;
        const y = p.line.reduce((sum, [, py]) => sum + py, 0) / p.line.length;
        return (
          <text
            key={`${x} ${y}`}
            className="no-pointer block-letter"
            x={x * side}
            y={y * side + 2.4}
            textAnchor="middle"
          >
            {p.letter}
          </text>
        );
      })}
    </svg>
  );
}

function LetterButtons({
  block,
  patch,
  cloths,
  give,
}: {
  block: BlockView;
  patch: PatchView;
  cloths: string[];
  give: (letter: string) => void;
}) {
  const { value } = usePlan();
  const cloth = clothOf(cloths);
  const more = "ABCDEFGH".split("").find((l) => !block.letters.includes(l));
  return (
    <div className="letter-buttons">
      {[...block.letters, ...(more ? [more] : [])].map((l) => (
        <button key={l} type="button" aria-pressed={l === patch.letter} onClick={() => give(l)}>
          {l}
          <span className="soft">
            {" "}
            {block.letters.includes(l) ? String(value(`/cloths/${cloth(l)}/name`) ?? cloth(l)) : "one more"}
          </span>
        </button>
      ))}
    </div>
  );
}

/** What the front is cut from, as the block stands. */
function CutsOfBlock({
  cuts,
  cloths,
}: {
  cuts: {
    id: string;
    count: number;
    title: string;
    cloth: string;
    width: { text: string };
    height: { text: string };
    as?: string;
  }[];
  cloths: unknown;
}) {
  const names = (cloths ?? {}) as Record<string, { name?: string }>;
  return (
    <ul className="block-cuts" aria-label="Cuts as the block stands">
      {cuts.map((c) => (
        <li key={c.id}>
          <strong>
            {c.count} ×{" "}
            <T>{c.width.text === c.height.text ? `${c.width.text} square` : `${c.width.text} × ${c.height.text}`}</T>
          </strong>{" "}
          {c.title.toLowerCase()} <span className="soft">of {names[c.cloth]?.name ?? c.cloth}</span>
        </li>
      ))}
    </ul>
  );
}
