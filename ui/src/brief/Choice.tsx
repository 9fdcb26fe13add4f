import type { KeyboardEvent } from "react";
import { decided, useOf, useSession } from "../plan/context";

export interface Option {
  value: string;
  name: string;
  /** What stands in the sentence, when it is shorter than the name. */
  shown?: string;
}

/**
 * Arrows open the list: on a closed one they would take each of its choices in turn, and what stands
 * behind a choice may be a front.
 */
function openList(e: KeyboardEvent<HTMLSelectElement>) {
  if ((e.key !== "ArrowDown" && e.key !== "ArrowUp") || !("showPicker" in e.currentTarget)) return;
  e.preventDefault();
  e.currentTarget.showPicker();
}

/** A choice set in a sentence: a real list that looks like its words. */
export function Choice({
  label,
  value,
  options,
  choose,
  busy,
}: {
  label: string;
  value: string;
  options: Option[];
  choose: (value: string) => void;
  /** What was chosen is on its way. */
  busy?: boolean;
}) {
  const chosen = options.find((o) => o.value === value);
  const shown = chosen?.shown ?? chosen?.name ?? value;
  return (
    <span className="value choice">
      <span className="value-shown" aria-hidden="true">
        {shown}
      </span>
      <select
        aria-label={label}
        aria-busy={busy}
        value={value}
        onChange={(e) => choose(e.target.value)}
        onKeyDown={openList}
      >
        {options.some((o) => o.value === value) || <option value={value}>{shown}</option>}
        {options.map((o) => (
          <option key={o.value} value={o.value}>
            {o.name}
          </option>
        ))}
      </select>
    </span>
  );
}

/** A choice that sets one word of the plan. */
export function PlanChoice({
  path,
  label,
  options,
  now,
}: {
  path: string;
  label: string;
  options: Option[];
  /** What is chosen where the plan says nothing. */
  now?: string;
}) {
  const session = useSession();
  const kept = useOf((s) => decided(s, path));
  return (
    <Choice
      label={label}
      value={String(kept ?? now ?? "")}
      options={options}
      choose={(next) =>
        session.edit(path, next || undefined, `${label}: ${options.find((o) => o.value === next)?.name ?? next}`)
      }
    />
  );
}
