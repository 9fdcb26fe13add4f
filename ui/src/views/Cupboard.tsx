import Button from "@mui/material/Button";
import { type ReactNode, useState } from "react";
import { Link } from "react-router";
import type { ClothView } from "../api/api.gen";
import { sentence } from "../api/client";
import { useCloths, useMake } from "../api/queries";
import { Swatch } from "../cloth/Swatch";
import { Len, T } from "../words/T";
import { type ClothDoc, ClothForm, printWords } from "./ClothForm";
import { HeldActions, useHeld } from "./held";
import { Notions } from "./Notions";
import { CupboardUnits } from "./SewnUnits";
import { TableFile } from "./TableFile";

/** What is in the cupboard. */
export function Cupboard() {
  const cloths = useCloths();
  const [adding, setAdding] = useState(false);
  const add = useMake<ClothDoc, ClothView>("/cloths", (cloth) => ({ cloth }));
  return (
    <div className="page">
      <header className="page-head">
        <h1>Cupboard</h1>
        <Button variant="outlined" onClick={() => setAdding(true)} disabled={adding}>
          Put a fabric in
        </Button>
        <Link className="word-button" to="shopping">
          What to buy
        </Link>
        <Link className="word-button" to="become">
          What can it become?
        </Link>
      </header>
      <TableFile place="/cloths" all="fabrics" label="The cupboard" />
      {cloths.isError && (
        <p className="finding stop" role="alert">
          {sentence(cloths.error)}
        </p>
      )}
      {adding && (
        <ClothForm
          doc={{
            name: "",
            width: "42",
            print: "plain",
            have: "",
            swatch: { motif: "plain", ground: "#c9b98f", ink: "#7d6b3d" },
          }}
          save={async (doc) => {
            await add.mutateAsync(doc);
            setAdding(false);
          }}
          cancel={() => setAdding(false)}
        />
      )}
      {cloths.data?.length === 0 && !adding && (
        <p className="empty">The cupboard is empty. Put the first fabric in, and plans can be cut from it.</p>
      )}
      {kinds.map(({ kind, title }) => {
        const mine = cloths.data?.filter((c) => c.kind === kind) ?? [];
        if (mine.length === 0) return null;
        return (
          <section key={kind} aria-label={title}>
            {kind !== "cloth" && <h2 className="kind">{title}</h2>}
            <ul className="cupboard">
              {mine.map((cloth) => (
                <ClothRow key={cloth.id} cloth={cloth} />
              ))}
            </ul>
          </section>
        );
      })}
      {!cloths.isPending && <Notions />}
      {!cloths.isPending && <CupboardUnits />}
    </div>
  );
}

const kinds = [
  { kind: "cloth", title: "Fabrics" },
  { kind: "batting", title: "Battings" },
  { kind: "interlining", title: "Interlinings" },
  { kind: "web", title: "Fusible web" },
];

const sentenceOf = (facts: string[]) => {
  const text = facts.join(", ");
  return text.charAt(0).toUpperCase() + text.slice(1);
};

const wantedText = (cloth: ClothView) => (cloth.wanted.nm > 0 ? `${cloth.wanted.text} wanted` : "Offcuts wanted");

/** Odd pieces, and what is kept for which plan. */
function Odd({ cloth }: { cloth: ClothView }) {
  const told: ReactNode[] = cloth.odd.map((o) => (
    <li key={`${o.width.nm} ${o.length.nm} ${o.for}`}>
      <T>{`${o.count === 1 ? "An offcut" : `${o.count} pieces`} ${o.width.text} × ${o.length.text}`}</T>
      {o.for && <span className="kept">, kept for {o.for}</span>}
    </li>
  ));
  for (const k of cloth.kept) {
    told.push(
      <li key={`kept ${k.plan}`}>
        <T>{k.length.text}</T> <span className="kept">kept for {k.plan}</span>
      </li>,
    );
  }
  return told.length > 0 ? <ul className="odd">{told}</ul> : null;
}

function ClothRow({ cloth }: { cloth: ClothView }) {
  const held = useHeld<ClothDoc>({
    place: "/cloths",
    as: "cloth",
    id: cloth.id,
    revision: cloth.revision,
    name: cloth.name,
    doc: cloth.cloth,
  });
  if (held.editing) {
    return (
      <li>
        <ClothForm doc={cloth.cloth as ClothDoc} save={held.keep} cancel={held.leave} />
      </li>
    );
  }
  return (
    <li className="cloth-row">
      <Swatch of={cloth.swatch} width={150} height={72} />
      <div>
        <h2>{cloth.name}</h2>
        <p>
          <Len of={cloth.width} /> wide, {printWords[cloth.print]}.{" "}
          {cloth.have ? (
            <>
              There are{" "}
              <strong>
                <T>{cloth.have_text}</T>
              </strong>
              .
            </>
          ) : (
            "Nobody said how much there is."
          )}
          {cloth.facts.length > 0 && (
            <span className="soft">
              {" "}
              <T>{`${sentenceOf(cloth.facts)}.`}</T>
            </span>
          )}
        </p>
        <Odd cloth={cloth} />
        {cloth.plans.length > 0 && (
          <p className={cloth.short.nm > 0 ? "stop-text" : "soft"}>
            <T>{`${wantedText(cloth)} for ${cloth.plans.length > 2 ? `${cloth.plans.length} plans` : cloth.plans.join(" and ")}${cloth.short.nm > 0 ? `: ${cloth.short.text} to buy` : ""}.`}</T>
          </p>
        )}
        <HeldActions name={cloth.name} edit={held.edit} takeOut={held.takeOut} />
      </div>
    </li>
  );
}
