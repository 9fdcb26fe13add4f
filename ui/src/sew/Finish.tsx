import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import type { LogView, PhotoView } from "../api/api.gen";
import { ask, sendFile, sentence } from "../api/client";
import { useChange } from "../api/queries";
import { useDrawn, useOf, usePlan } from "../plan/context";
import { Unanswered } from "../plan/unanswered";
import { FileButton } from "../shell/FileButton";
import { InCupboard } from "../views/InCupboard";
import { T } from "../words/T";
import { useProgress } from "./progress";

/** What is left of the cloths that came out of the cupboard, and goes back into it. */
function Leftovers() {
  const drawn = useDrawn();
  const open = drawn.cloths.filter((cloth) => cloth.in_cupboard && cloth.done);
  if (open.length === 0) return null;
  return (
    <section aria-label="What is left over">
      <p>All is cut of these; what is left goes back into the cupboard, and nothing is kept for this plan any more.</p>
      <ul className="leftovers">
        {open.map((cloth) => (
          <li key={cloth.cloth}>
            <strong>{cloth.name}</strong>
            <InCupboard cloth={cloth} />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** All steps are done: the cover goes into the log. */
export function Finish() {
  const { id, session } = usePlan();
  const drawn = useDrawn();
  const revision = useOf((s) => s.revision);
  const saving = useOf((s) => s.saving);
  const { now, set } = useProgress();
  const go = useNavigate();
  const taken = Math.round(Object.values(now.times ?? {}).reduce((all, t) => all + t, 0));
  const [minutes, setMinutes] = useState(taken > 0 ? String(taken) : "");
  const seen = now.inspected ?? [];
  const [notes, setNotes] = useState("");
  const [next, setNext] = useState("");
  const [photos, setPhotos] = useState<number[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const picture = async (file: File) => {
    try {
      setProblem(null);
      const photo = await sendFile<PhotoView>("/photos", file);
      setPhotos((before) => [...before, photo.id]);
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  const finish = useChange((body: unknown) => ask<LogView>("POST", `/plans/${id}/finish`, body));
  const sent = useRef(new Unanswered());
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const bad = minutes.trim() !== "" && !/^\d{1,5}$/.test(minutes.trim());
  const send = async () => {
    setProblem(null);
    try {
      const { revision } = session.current();
      const entry = { base: revision, minutes: Number(minutes || 0), notes, next, photos };
      await finish.mutateAsync({ ...entry, save: sent.current.pressed(revision, entry) });
      go("/log");
    } catch (error) {
      setProblem(sentence(error));
    }
  };
  return (
    <article className="at-hand finish">
      <h1 ref={heading} tabIndex={-1}>
        All steps are done
      </h1>
      <p className="large">
        Look it over, then write it into the log: what was planned and what was measured go with it.
      </p>
      <fieldset className="inspection">
        <legend>Final check</legend>
        {(drawn.inspections ?? []).map((one) => (
          <label key={one.id}>
            <input
              type="checkbox"
              checked={seen.includes(one.id)}
              onChange={(e) =>
                set(
                  (p) => ({
                    ...p,
                    inspected: e.target.checked ? [...seen, one.id] : seen.filter((other) => other !== one.id),
                  }),
                  `${one.look}: ${e.target.checked ? "in order" : "not looked at"}`,
                )
              }
            />
            <span>
              <strong>
                <T>{one.look}</T>
              </strong>
              <span className="soft">
                <T>{one.fine}</T>
              </span>
            </span>
          </label>
        ))}
      </fieldset>
      <Leftovers />
      <TextField
        label="Minutes of work"
        value={minutes}
        onChange={(e) => setMinutes(e.target.value)}
        error={bad}
        helperText={bad ? "Type whole minutes, such as 90." : " "}
        slotProps={{ htmlInput: { inputMode: "numeric" } }}
      />
      <TextField label="Notes" value={notes} onChange={(e) => setNotes(e.target.value)} multiline minRows={2} />
      <TextField label="Next time" value={next} onChange={(e) => setNext(e.target.value)} multiline minRows={2} />
      <div>
        <ul className="photos">
          {photos.map((photo, i) => (
            <li key={photo}>
              <img src={`/api/v1/photos/${photo}`} alt={`The finished cover, ${i + 1}`} />
              <button
                type="button"
                className="word-button"
                onClick={() => setPhotos((before) => before.filter((other) => other !== photo))}
              >
                Remove<span className="sr-only"> photo {i + 1}</span>
              </button>
            </li>
          ))}
        </ul>
        <FileButton label="Photo of the finished cover" accept="image/*" read={(file) => void picture(file)}>
          {(choose) => (
            <button type="button" className="word-button" onClick={choose}>
              Add a photo
            </button>
          )}
        </FileButton>
      </div>
      {problem && (
        <p className="finding stop" role="alert">
          {problem}
        </p>
      )}
      <div className="step-actions">
        <Button
          variant="contained"
          size="large"
          disabled={bad || saving !== "saved" || finish.isPending}
          onClick={() => void send()}
        >
          Write it into the log
        </Button>
        <span className="soft">Revision {revision}</span>
      </div>
    </article>
  );
}
