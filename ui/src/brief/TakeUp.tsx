import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import type { Piece } from "../api/api.gen";
import { startsQuery, useMake } from "../api/queries";
import { useOf, usePlan } from "../plan/context";
import { useTrying } from "../shell/Say";

const percent = (n: number | undefined) => `${(n ?? 0).toFixed(2)}%`;

/** What quilting takes of a piece, and from what that is known. */
export function TakeUp({ of: name }: { of: string }) {
  const { value } = usePlan();
  const piece = useOf((s) => s.reckoning.pieces.find((p) => p.config === name));
  if (!piece) return null;
  const decided = (key: string) => value(`/pieces/${name}/${key}`) ?? value(`/pieces/*/${key}`);
  const estimated = String(decided("take_up/from") ?? "estimate") === "estimate";
  return (
    <>
      {estimated && " from geometry"}: <strong>{percent(piece.take_up[0])}</strong> across,{" "}
      <strong>{percent(piece.take_up[1])}</strong> up{between(piece)}.{" "}
      {estimated && piece.quilting?.sample && (
        <SewSample
          layers={decided("layers")}
          quilting={piece.quilting.sample}
          title={`Square for ${String(value("/title") ?? "")}`}
        />
      )}
    </>
  );
}

/** What an estimate lies between. */
export function between(piece: Piece): string {
  const [across, up] = piece.take_up_range as unknown as [[number, number], [number, number]];
  if (!across || across[1] <= across[0]) return "";
  const range = ([low, high]: [number, number]) => `${low.toFixed(2)} to ${high.toFixed(2)}%`;
  return up && range(up) !== range(across)
    ? ` (between ${range(across)}, and ${range(up)})`
    : ` (between ${range(across)})`;
}

/** Begins a sample of the stack and the quilting at hand. */
function SewSample({ layers, quilting, title }: { layers: unknown; quilting: unknown; title: string }) {
  const { value } = usePlan();
  const client = useQueryClient();
  const navigate = useNavigate();
  const trying = useTrying();
  const add = useMake("/samples", (sample: unknown) => ({ sample }));
  const begin = async () => {
    const starts = await client.ensureQueryData(startsQuery(String(value("/units") ?? "in")));
    const start = (starts.samples as unknown as { kind: string }[]).find((s) => s.kind === "quilting");
    await add.mutateAsync({ ...start, title, layers, quilting });
    navigate("/samples");
  };
  return (
    <button type="button" className="word-button" onClick={() => void trying(begin)}>
      Sew a sample of these layers
    </button>
  );
}
