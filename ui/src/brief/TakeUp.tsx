import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import type { Piece } from "../api/api.gen";
import { ask } from "../api/client";
import { startsQuery, useChange, useSamples } from "../api/queries";
import { usePlan } from "../plan/context";
import { put } from "../plan/path";
import { Choice } from "./Choice";
import { usePiece } from "./usePiece";
import { Value } from "./Value";

export function TakeUp({ name }: { name: string }) {
  const { piece, value, rework, reckoning, of } = usePiece(name);
  const from = String(of("take_up", "/from") ?? "estimate");
  const front = reckoning.pieces.find((p) => p.config === name);
  const bordered = ((value(`${piece}/face/borders`) ?? []) as unknown[]).length > 0;
  const grid = value(`${piece}/face/kind`) === "grid";
  const samples = (useSamples().data ?? []).flatMap((one) => {
    const doc = one.settled as unknown as { kind: string; title: string };
    return doc.kind === "quilting" && (one.tells ?? []).length > 0 ? [{ id: one.id, title: doc.title }] : [];
  });
  const percent = (n: number) => `${n.toFixed(2)} %`;
  return (
    <p>
      Quilting pulls it in{" "}
      <Choice
        label="Where the take-up comes from"
        value={from === "sample" ? String(of("take_up", "/id")) : from}
        options={[
          { value: "estimate", name: "by an estimate" },
          ...samples.map((one) => ({ value: one.id, name: `as “${one.title}” did` })),
          { value: "given", name: "as I measured" },
        ]}
        choose={(next) =>
          rework(
            (plan) =>
              put(
                plan,
                `${piece}/take_up`,
                samples.some((one) => one.id === next)
                  ? { from: "sample", id: next }
                  : next === "estimate"
                    ? { from: "estimate" }
                    : { from: "given", across: round(front?.take_up[0]), along: round(front?.take_up[1]) },
              ),
            next === "estimate" ? "take-up estimated" : "take-up given",
          )
        }
      />
      {from === "given" ? (
        <>
          :{" "}
          <Value
            path={`${piece}/take_up/across`}
            label={name === "front" ? "Take-up across" : `Take-up across, ${name}`}
            kind="percent"
          />{" "}
          across and{" "}
          <Value
            path={`${piece}/take_up/along`}
            label={name === "front" ? "Take-up up" : `Take-up up, ${name}`}
            kind="percent"
          />{" "}
          up.
        </>
      ) : (
        front && (
          <>
            {from === "estimate" && " from geometry"}: <strong>{percent(front.take_up[0] ?? 0)}</strong> across,{" "}
            <strong>{percent(front.take_up[1] ?? 0)}</strong> up{between(front)}.{" "}
            {from === "estimate" && <SewSample piece={piece} title={String(value("/title") ?? "")} />}
          </>
        )
      )}
      {grid && !bordered && <Absorb piece={piece} />}
    </p>
  );
}

/** What an estimate lies between. */
export function between(piece: Piece): string {
  const [across, up] = piece.take_up_range as unknown as [[number, number], [number, number]];
  if (!across || across[1] <= across[0]) return "";
  const range = ([low, high]: [number, number]) => `${low.toFixed(2)} to ${high.toFixed(2)} %`;
  return up && range(up) !== range(across)
    ? ` (between ${range(across)}, and ${range(up)})`
    : ` (between ${range(across)})`;
}

/** Begins a sample of the stack and the quilting at hand. */
function SewSample({ piece, title }: { piece: string; title: string }) {
  const { value } = usePlan();
  const client = useQueryClient();
  const navigate = useNavigate();
  const add = useChange((sample: unknown) => ask("POST", "/samples", { sample }));
  const begin = async () => {
    const starts = await client.ensureQueryData(startsQuery(String(value("/units") ?? "in")));
    const start = (starts.samples as unknown as { kind: string }[]).find((s) => s.kind === "quilting");
    await add.mutateAsync({
      ...start,
      title: `Square for ${title}`,
      layers: value(`${piece}/layers`),
      quilting: value(`${piece}/quilting`),
    });
    navigate("/samples");
  };
  return (
    <button type="button" className="word-button" onClick={() => void begin()}>
      Sew a sample of this stack
    </button>
  );
}

export const round = (n: number | undefined) => Number((n ?? 0).toFixed(2));

/** Without a border something else has to take up the loss. */
function Absorb({ piece }: { piece: string }) {
  const { value, edit } = usePlan();
  return (
    <>
      {" "}
      The loss is taken by{" "}
      <Choice
        label="What takes the loss"
        value={String(value(`${piece}/absorb`) || "patch")}
        options={[
          { value: "patch", name: "larger patches" },
          { value: "accept", name: "a smaller cover" },
        ]}
        choose={(next) => edit(`${piece}/absorb`, next, next === "patch" ? "patches grow" : "smaller cover accepted")}
      />
      .
    </>
  );
}
