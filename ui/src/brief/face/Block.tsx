import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useId, useMemo, useState } from "react";
import { useStarts } from "../../api/queries";
import { usePlan } from "../../plan/context";
import { swatchesOf } from "../../plan/swatches";
import { Choice } from "../Choice";
import { BlockEditor } from "./BlockEditor";
import { BlockPicture } from "./BlockPicture";
import { useFace } from "./context";

/** What the patches of a grid are: plain ones, a block that goes by a name, or one of one's own. */
export function BlockChoice() {
  const { at, face, become } = useFace();
  const { value } = usePlan();
  const blocks = useStarts(String(value("/units") ?? "in")).data?.blocks ?? [];
  const [shown, show] = useState<"library" | "editor" | null>(null);
  const block = at("/block") as string | { cells?: string } | undefined;
  const named = typeof block === "string" && block !== "" ? blocks.find((b) => b.name === block) : undefined;
  const text = typeof block === "object" ? String(block.cells ?? "A") : (named?.text ?? "A");
  const now = !block ? "" : typeof block === "string" ? block : "own";
  const choose = (next: string) => {
    const { block: _, ...others } = face;
    if (next === "") become(others, "plain patches");
    else if (next === "own") show("editor");
    else
      become({ ...others, block: next }, `block: ${blocks.find((b) => b.name === next)?.title.toLowerCase() ?? next}`);
  };
  return (
    <>
      ,{" "}
      <Choice
        label="Block"
        value={now}
        options={[
          { value: "", name: "plain patches" },
          ...blocks.map((b) => ({ value: b.name, name: b.title, shown: b.title.toLowerCase() })),
          { value: "own", name: "a block of your own" },
        ]}
        choose={choose}
      />{" "}
      <span className="together">
        (
        <button type="button" className="word-button" onClick={() => show("library")}>
          all blocks
        </button>
        ,
      </span>{" "}
      <span className="together">
        <button type="button" className="word-button" onClick={() => show("editor")}>
          {now === "" ? "divide the patches" : "divide it further"}
        </button>
        )
      </span>
      <Library open={shown === "library"} close={() => show(null)} choose={choose} now={now} />
      {shown === "editor" && <BlockEditor text={text} close={() => show(null)} />}
    </>
  );
}

/** The library, drawn in the cloths of the face. */
function Library({
  open,
  close,
  choose,
  now,
}: {
  open: boolean;
  close: () => void;
  choose: (name: string) => void;
  now: string;
}) {
  const { at } = useFace();
  const { value } = usePlan();
  const title = useId();
  const blocks = useStarts(String(value("/units") ?? "in")).data?.blocks ?? [];
  const cloths = value("/cloths");
  const swatches = useMemo(() => swatchesOf(cloths), [cloths]);
  const letters = (at("/cloths") ?? []) as string[];
  return (
    <Dialog open={open} onClose={close} maxWidth="md" fullWidth aria-labelledby={title}>
      <DialogTitle id={title}>Blocks that go by a name</DialogTitle>
      <DialogContent>
        <ul className="block-library">
          {blocks.map((b) => (
            <li key={b.name}>
              <button
                type="button"
                aria-pressed={b.name === now}
                onClick={() => {
                  choose(b.name);
                  close();
                }}
              >
                <BlockPicture block={b} cloths={letters} swatches={swatches} size={84} />
                <span>{b.title}</span>
                <span className="soft">
                  {b.patches.length} patches, {b.letters.length} {b.letters.length === 1 ? "fabric" : "fabrics"}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Keep as is</Button>
      </DialogActions>
    </Dialog>
  );
}
