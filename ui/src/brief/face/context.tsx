import { createContext, useContext } from "react";
import type { BegunFace } from "../../api/api.gen";
import { ask } from "../../api/client";
import { usePlan } from "../../plan/context";
import { get, put } from "../../plan/path";

/** The face that the sentences are about. */
interface Place {
  /** The name under which the plan decides the piece. */
  config: string;
  /** What the piece is called in a sentence. */
  title: string;
  /** Where the face of the piece stands in the plan: its own, or the one all pieces share. */
  base: string;
  /** The way to the face within that, through the parts of stacks. */
  inner: string;
}

const Context = createContext<Place>({ config: "front", title: "front", base: "/pieces/front/face", inner: "" });

export const FaceProvider = Context.Provider;

/** The face at hand: where it stands, what it says, and how it is changed. */
export function useFace() {
  const place = useContext(Context);
  const { value, rework, session } = usePlan();
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
    /** Asks what the face begins with as another kind, or for one more part, and keeps that. */
    begin: async (kind: string | undefined, label: string) => {
      const plan = session.current().plan;
      const { face: begun } = await ask<BegunFace>("POST", "/face", {
        plan,
        piece: place.config,
        path: place.inner,
        ...(kind && { kind }),
      });
      rework((now) => put(now, own + place.inner, begun), label);
    },
  };
}
