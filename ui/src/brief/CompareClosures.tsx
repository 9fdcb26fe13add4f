import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import type { BackShown, Closing } from "../api/api.gen";
import { ask, sentence } from "../api/client";
import { usePlan } from "../plan/context";
import { Mark } from "../sheet/Closure";
import { mm } from "../sheet/PieceDrawing";
import { pieces } from "../words/pieces";
import { Len, T } from "../words/T";
import { Findings } from "./Thread";
import { useTake } from "./take";

/** All closures for this cover side by side, with their figures. */
export function Compare() {
  const { plan } = usePlan();
  const take = useTake();
  const [choices, setChoices] = useState<Closing[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const compare = async () => {
    setProblem(null);
    try {
      setChoices(await ask<Closing[]>("POST", "/closures", plan));
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <>
      <p>
        <button type="button" className="word-button" onClick={() => void compare()}>
          Compare the closures for this cover
        </button>
      </p>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      <Dialog
        open={choices !== null}
        onClose={() => setChoices(null)}
        maxWidth="lg"
        fullWidth
        aria-labelledby="closures-title"
      >
        <DialogTitle id="closures-title">How it could close</DialogTitle>
        <DialogContent>
          <ul className="closures">
            {choices?.map((c) => (
              <OneClosure
                key={c.key}
                choice={c}
                take={() => {
                  void take("/back/kind", c.key, `closure: ${c.name}`);
                  setChoices(null);
                }}
              />
            ))}
          </ul>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setChoices(null)}>Keep as is</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

function OneClosure({ choice, take }: { choice: Closing; take: () => void }) {
  const { back } = choice;
  const cut = choice.cuts.map((c) => `${pieces(c.count)}, ${c.width.text} × ${c.height.text}`).join("; ");
  const bought = back?.notions.map((n) => `${n.length.text} of ${n.what}`) ?? [];
  if (back && back.buttons > 0) bought.push(`${back.buttons} buttons`);
  return (
    <li className={choice.chosen ? "closure chosen-closure" : "closure"}>
      <h3>{choice.name.replace(/^./, (c) => c.toUpperCase())}</h3>
      {back && <Small back={back} />}
      {back && (
        <dl>
          <dt>Pieces</dt>
          <dd>
            <T>{cut}</T>
          </dd>
          <dt>Fabric</dt>
          <dd>
            <Len of={back.cloth} />
          </dd>
          <dt>To buy</dt>
          <dd>
            <T>{bought.join(", ") || "nothing"}</T>
          </dd>
          <dt>Opens</dt>
          <dd>
            <Len of={back.opening} />
            {back.overlap.nm > 0 && (
              <>
                , overlaps <Len of={back.overlap} />
              </>
            )}
          </dd>
          <dt>Work</dt>
          <dd>
            {choice.steps} steps from here; asks for {choice.skill}
          </dd>
        </dl>
      )}
      <p className="soft">
        {choice.suits} {choice.wash}
      </p>
      <Findings of={choice.findings} />
      {choice.chosen ? (
        <p className="closure-now">As planned</p>
      ) : (
        <button type="button" className="word-button" onClick={take}>
          Take this<span className="sr-only">: {choice.name}</span>
        </button>
      )}
    </li>
  );
}

/** A back drawn small, as it lies. */
function Small({ back }: { back: BackShown }) {
  const boxes = back.lies.map((lie) => lie.box);
  const [x, y] = [Math.min(...boxes.map((b) => b.x)), Math.min(...boxes.map((b) => b.y))];
  const [right, bottom] = [Math.max(...boxes.map((b) => b.x + b.width)), Math.max(...boxes.map((b) => b.y + b.height))];
  return (
    <svg
      className="closure-drawing"
      viewBox={`${mm(x)} ${mm(y)} ${mm(right - x)} ${mm(bottom - y)}`}
      aria-hidden="true"
    >
      {boxes.map((b) => (
        <rect key={b.x} className="closure-piece" x={mm(b.x)} y={mm(b.y)} width={mm(b.width)} height={mm(b.height)} />
      ))}
      {back.marks.map((mark) => (
        <Mark key={`${mark.box.x} ${mark.box.y}`} mark={mark} />
      ))}
    </svg>
  );
}
