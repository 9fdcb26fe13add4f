import { Choice } from "../Choice";
import { useFace } from "./context";

/** Whether pieces are cut with a motif of the print in their middle; for blocks it makes no sense. */
export function Centred() {
  const { at, set, kind, title, inner } = useFace();
  if (at("/block")) return null;
  const part = inner ? ` of part ${Number(/(\d+)\/face$/.exec(inner)?.[1]) + 1}` : "";
  return (
    <p>
      {kind === "grid" ? "Its patches are" : "It is"} cut{" "}
      <Choice
        label={`Print on the ${title}${part}`}
        value={at("/centred") === true ? "centred" : "any"}
        options={[
          { value: "any", name: "as the print comes" },
          { value: "centred", name: "with a motif in the middle" },
        ]}
        choose={(next) =>
          set(
            "/centred",
            next === "centred" || undefined,
            next === "centred" ? "motifs in the middle" : "the print as it comes",
          )
        }
      />
      .
    </p>
  );
}
