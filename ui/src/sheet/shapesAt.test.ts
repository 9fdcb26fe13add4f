import { describe, expect, it } from "vitest";
import type { Piece, Shape, Step } from "../api/api.gen";
import { shapesAt } from "./shapesAt";

const shape = (level: number, late = false) => ({ level, late }) as Shape;
const step = ([id, about]: [string, Partial<Step["about"]>]) => ({ id, about: { role: "", ...about } }) as Step;
const [ground, body, hub, stripe] = [shape(1), shape(2), shape(3, true), { ...shape(3), line: true }];
const piece = {
  shapes: [ground, body, hub, stripe],
  threads: [{ shapes: [0] }, { shapes: [1, 3] }, { shapes: [2], late: true }],
} as Piece;
const list: [string, Partial<Step["about"]>][] = [
  ["cut.front", { role: "cut-outer" }],
  ["shapes.cut", { role: "cut-shapes" }],
  ["shapes.lay.1", { role: "lay-shapes", level: 1 }],
  ["shapes.lay.2", { role: "lay-shapes", level: 2 }],
  ["shapes.sew.1", { role: "sew-shapes", thread: 1 }],
  ["shapes.sew.2", { role: "sew-shapes", thread: 2 }],
  ["shapes.lay.3.late", { role: "lay-shapes", level: 3, late: true }],
  ["shapes.sew.3", { role: "sew-shapes", thread: 3, late: true }],
  ["gate.front", { role: "measure-front" }],
];
const steps = list.map(step);
const looks = (id: string) =>
  piece.shapes.map(shapesAt(steps.find((s) => s.id === id) as Step, steps, piece)).join(" ");

describe("the shapes at a step", () => {
  it.each([
    ["cut.front", "hidden hidden hidden hidden"],
    ["shapes.cut", "shown shown shown hidden"],
    ["shapes.lay.1", "shown hidden hidden hidden"],
    ["shapes.lay.2", "dimmed shown hidden hidden"],
    ["shapes.sew.1", "shown dimmed hidden hidden"],
    ["shapes.sew.2", "dimmed shown hidden shown"],
    ["shapes.lay.3.late", "dimmed dimmed shown dimmed"],
    ["shapes.sew.3", "dimmed dimmed shown dimmed"],
    ["gate.front", "shown shown shown shown"],
  ])("%s", (id, expected) => {
    expect(looks(id)).toBe(expected);
  });
});
