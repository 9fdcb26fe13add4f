import { useState } from "react";
import { refusalAt } from "../../api/refusal";
import { forget } from "../../plan/aside";
import { T } from "../../words/T";
import { Aside } from "../Aside";
import { Choice } from "../Choice";
import { useLetters } from "../sentences";
import { Applique } from "./Applique";
import { Borders } from "./Borders";
import { Centred } from "./Centred";
import { useFace } from "./context";
import { Found } from "./Found";
import { Gathered } from "./Gathered";
import { Grid } from "./Grid";
import { Layouts } from "./Layouts";
import { Methods } from "./Methods";
import { Outlook } from "./Outlook";
import { Stack } from "./Stack";
import { Strips } from "./Strips";
import { Ways } from "./Ways";
import { Windows } from "./Windows";

const kinds = [
  { value: "plain", name: "One piece of cloth" },
  { value: "grid", name: "Patches in a grid" },
  { value: "strips", name: "Strips" },
  { value: "checker", name: "A checkerboard from strips" },
  { value: "stack", name: "Parts above each other" },
  { value: "found", name: "A panel that is there already" },
  { value: "gathered", name: "Gathered cloth" },
  { value: "windows", name: "Folded windows" },
];

const lower = (kind: string) => kinds.find((k) => k.value === kind)?.name.toLowerCase() ?? kind;

const known = new Set(kinds.map((k) => k.value));

/** What a face is made of. */
export function Face() {
  const { kind, title, inner, begin, shared, face, become } = useFace();
  const [refused, refuse] = useState<string | null>(null);
  const label = inner ? `Kind of part ${Number(/(\d+)\/face$/.exec(inner)?.[1]) + 1}` : `Kind of ${title}`;
  const choose = (next: string) =>
    begin(next, `${title}: ${lower(next)}`).then(
      () => refuse(null),
      (error) => refuse(refusalAt(error).text),
    );
  const Words = words[kind];
  const aside = (
    <Aside
      kept={face.aside as Record<string, unknown> | undefined}
      of={inner ? label.toLowerCase() : title}
      name={lower}
      bring={choose}
      drop={(of) => become(forget(face, of), `${title}: ${lower(of)} forgotten`)}
    />
  );
  if (shared && kind !== "plain") {
    return (
      <p>
        <Choice label={label} value={kind} options={kinds} choose={choose} />, as all pieces share it.{" "}
        <button type="button" className="word-button" onClick={() => become(face, `${title}: a face of its own`)}>
          Decide it for this piece alone
        </button>
      </p>
    );
  }
  return (
    <>
      <p>
        <Choice
          label={label}
          value={kind}
          options={known.has(kind) ? kinds : [...kinds, { value: kind, name: kind }]}
          choose={choose}
        />
        {Words && <Words />}
      </p>
      {aside}
      {refused && (
        <div role="alert" className="finding stop">
          <T>{refused}</T>
        </div>
      )}
      {(kind === "grid" || kind === "checker" || kind === "found") && <Borders />}
      {(kind === "plain" || kind === "grid") && <Centred />}
      {kind === "stack" && <Stack of={Face} />}
      {kind !== "gathered" && kind !== "windows" && <Applique />}
      {kind === "grid" && !inner && <Methods />}
      {!inner && <Outlook />}
      {kind === "grid" && !inner && <Layouts />}
      {kind === "grid" && !inner && <Ways />}
    </>
  );
}

const words: Record<string, () => React.ReactNode> = {
  plain: Plain,
  grid: Grid,
  checker: Grid,
  strips: Strips,
  found: Found,
  gathered: Gathered,
  windows: Windows,
};

function Plain() {
  const { at, set, title, inner } = useFace();
  const letters = useLetters();
  return (
    <>
      :{" "}
      <Choice
        label={inner ? `Cloth of part ${Number(/(\d+)\/face$/.exec(inner)?.[1]) + 1}` : `Cloth of the ${title}`}
        value={String(at("/cloth") ?? letters[0]?.value ?? "A")}
        options={letters}
        choose={(next) => set("/cloth", next, `${title} of ${next}`)}
      />
      ,{" "}
      <Choice
        label={`Pocket on the ${title}`}
        value={String(at("/pocket") ?? "")}
        options={[
          { value: "", name: "no pocket over it" },
          { value: "folded", name: "with a folded pocket over its lower half" },
        ]}
        choose={(next) => set("/pocket", next || undefined, next ? "a folded pocket" : "no pocket")}
      />
      .
    </>
  );
}
