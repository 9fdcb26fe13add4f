import { useState } from "react";
import type { NotionView } from "../api/api.gen";
import { sentence } from "../api/client";
import { useMake, useNotions } from "../api/queries";
import { refusalAt } from "../api/refusal";
import { T } from "../words/T";
import { HeldActions, KeepOrLeave, useHeld } from "./held";
import { TableFile } from "./TableFile";

interface NotionDoc {
  name?: string;
  for?: string;
  have?: string;
  pack?: string;
  count?: number | string;
  each?: string;
  pack_count?: number | string;
  price?: number | string;
  colour?: string;
  [key: string]: unknown;
}

/** What plans use notions as, to choose from. */
const uses = [
  "thread",
  "zip",
  "buttons",
  "piping cord",
  "hook-and-loop tape",
  "binding",
  "tape for the seams inside",
  "elastic",
  "quilting thread",
];

/** Thread, zips, tape, cord and buttons in the cupboard. */
export function Notions() {
  const notions = useNotions();
  const [adding, setAdding] = useState(false);
  const add = useMake<NotionDoc, NotionView>("/notions", (notion) => ({ notion }));
  return (
    <section aria-labelledby="notions">
      <h2 className="kind" id="notions">
        Thread, zips, tape, buttons
      </h2>
      <TableFile place="/notions" all="notions" label="Thread and notions" />
      {notions.isError && (
        <p className="finding stop" role="alert">
          {sentence(notions.error)}
        </p>
      )}
      {notions.data?.length === 0 && !adding && (
        <p className="empty">Nothing is put in yet: what plans take is all to be bought.</p>
      )}
      <ul className="notions">
        {notions.data?.map((n) => (
          <NotionRow key={n.id} notion={n} />
        ))}
      </ul>
      {adding ? (
        <NotionForm
          doc={{}}
          save={async (doc) => {
            await add.mutateAsync(doc);
            setAdding(false);
          }}
          cancel={() => setAdding(false)}
        />
      ) : (
        <button type="button" className="word-button" onClick={() => setAdding(true)}>
          Put a thing in
        </button>
      )}
    </section>
  );
}

function NotionRow({ notion }: { notion: NotionView }) {
  const held = useHeld<NotionDoc>({
    place: "/notions",
    as: "notion",
    id: notion.id,
    revision: notion.revision,
    name: notion.name,
    doc: notion.notion,
  });
  if (held.editing) {
    return (
      <li>
        <NotionForm doc={notion.notion as NotionDoc} save={held.keep} cancel={held.leave} />
      </li>
    );
  }
  return (
    <li className="notion-row">
      <span className="reel" style={{ background: notion.colour || "transparent" }} aria-hidden="true" />
      <span>
        <strong>
          <T>{notion.name}</T>
        </strong>
        , <T>{notion.text}</T>
      </span>
      <HeldActions name={notion.name} edit={held.edit} takeOut={held.takeOut} />
    </li>
  );
}

/** Numbers that were typed are numbers in the file; the rest is refused there by name. */
function cleaned(draft: NotionDoc): NotionDoc {
  const out: NotionDoc = {};
  for (const [key, value] of Object.entries(draft)) {
    const text = String(value ?? "").trim();
    if (text === "") continue;
    const number = Number(text.replace(",", "."));
    out[key] = ["count", "pack_count", "price"].includes(key) && Number.isFinite(number) ? number : text;
  }
  return out;
}

function NotionForm({
  doc,
  save,
  cancel,
}: {
  doc: NotionDoc;
  save: (doc: NotionDoc) => Promise<void>;
  cancel: () => void;
}) {
  const [draft, setDraft] = useState(doc);
  const [problem, setProblem] = useState<{ path: string; text: string } | null>(null);
  const byThePiece = /^(zip|buttons)/.test(String(draft.for ?? ""));
  const field = (key: keyof NotionDoc & string, label: string, hint: string, list?: string) => (
    <label className="line-field narrow">
      <span>{label}</span>
      <input
        value={String(draft[key] ?? "")}
        placeholder={hint}
        list={list}
        aria-invalid={problem?.path === `/${key}` || undefined}
        onChange={(e) => setDraft({ ...draft, [key]: e.target.value })}
      />
    </label>
  );
  const submit = async () => {
    try {
      await save(cleaned(draft));
    } catch (error) {
      setProblem(refusalAt(error));
    }
  };
  return (
    <form
      className="cloth-form"
      aria-label="A thing"
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <div>
        <datalist id="notion-uses">
          {uses.map((use) => (
            <option key={use} value={use} />
          ))}
        </datalist>
        <div className="line-fields">
          {field("name", "Name", "grey thread")}
          {field("for", "What plans use it as", "thread", "notion-uses")}
          {byThePiece ? (
            <>
              {field("count", "How many there are", "2")}
              {field("each", "Length of one", "16 in")}
              {field("pack_count", "Sold together", "1")}
            </>
          ) : (
            <>
              {field("have", "Length left", "60 m")}
              {field("pack", "Sold in lengths of", "200 m")}
            </>
          )}
          {field("price", "Price of that", "3.20")}
          <label className="line-field narrow">
            <span>Colour</span>
            <input
              type="color"
              value={draft.colour ?? "#8b8b86"}
              onChange={(e) => setDraft({ ...draft, colour: e.target.value })}
            />
          </label>
        </div>
        <KeepOrLeave problem={problem} leave={cancel} />
      </div>
    </form>
  );
}
