import type { Piece, Shape, Step } from "../api/api.gen";

type Look = "shown" | "dimmed" | "hidden";

/**
 * How each shape on a piece is drawn at a step: what the step is about stands out, what lies there
 * already stands back, and what is laid on later is not there yet.
 */
export function shapesAt(step: Step, steps: Step[], piece: Piece): (shape: Shape) => Look {
  const about = /(?:^|\.)shapes\.(cut|lay|sew)(?:\.(\d+))?(\.late)?$/.exec(step.id);
  if (!about) {
    const laid = steps.findIndex((s) => /(?:^|\.)shapes\.lay\.\d+$/.test(s.id));
    const at = steps.findIndex((s) => s.id === step.id);
    return () => (laid < 0 || at < laid ? "hidden" : "shown");
  }
  const [, what, number, late] = about;
  const sewnBy = (shape: Shape) => piece.threads.findIndex((t) => t.shapes.includes(piece.shapes.indexOf(shape)));
  if (what === "cut") return (shape) => (shape.line ? "hidden" : "shown");
  if (what === "sew") {
    const now = Number(number) - 1;
    const thread = piece.threads[now];
    return (shape) => {
      if (sewnBy(shape) === now) return "shown";
      if (shape.line && sewnBy(shape) > now) return "hidden";
      return shape.late && !thread?.late ? "hidden" : "dimmed";
    };
  }
  const level = Number(number);
  return (shape) => {
    if (shape.line) return late && !shape.late ? "dimmed" : "hidden"; // it is sewn, not laid
    if (shape.level === level && !!shape.late === !!late) return "shown";
    return (shape.late ? late && shape.level < level : late || shape.level < level) ? "dimmed" : "hidden";
  };
}
