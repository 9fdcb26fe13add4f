import { createContext, useContext } from "react";
import type { Place } from "../../api/api.gen";
import { usePlan } from "../../plan/context";
import { get, put } from "../../plan/path";

const Context = createContext<Place>({
  config: "front",
  title: "front",
  the: "the front",
  base: "/pieces/front/face",
  inner: "",
});

export const FaceProvider = Context.Provider;

/** The face at hand: where it stands, what it says, and how it is changed. */
export function useFace() {
  const place = useContext(Context);
  const { value, rework } = usePlan();
  const own = `/pieces/${place.config}/face`;
  const shared = place.base !== own;
  const path = place.base + place.inner;
  const face = (value(path) ?? {}) as Record<string, unknown>;
  return {
    ...place,
    path,
    face,
    kind: String(face.kind ?? "plain"),
    /** A decision within the face, or its default. */
    at: (key: string) => get(face, key) ?? value(path + key),
    /** All pieces share it: a change gives this one a face of its own. */
    shared,
    /** Keeps the face with a decision changed. */
    set: (key: string, next: unknown, label: string) =>
      rework(
        (plan) => put(shared ? put(plan, own, get(plan, place.base)) : plan, own + place.inner + key, next),
        label,
      ),
    /** Keeps another face in its place. */
    become: (next: unknown, label: string) =>
      rework((plan) => put(shared ? put(plan, own, get(plan, place.base)) : plan, own + place.inner, next), label),
  };
}
