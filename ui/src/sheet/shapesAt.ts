import type { Piece, Shape, Step } from "../api/api.gen";

type Look = "shown" | "dimmed" | "hidden";

/**
 * How each shape on a piece is drawn at a step: what the step is about stands out, what lies there
 * already stands back, and what is laid on later is not there yet.
 */
export function shapesAt(step: Step, steps: Step[], piece: Piece): (shape: Shape) => Look {
  const { role, level = 0, thread = 0, late = false } = step.about;
  const sewnBy = (shape: Shape) => piece.threads.findIndex((t) => t.shapes.includes(piece.shapes.indexOf(shape)));
  switch (role) {
    case "cut-shapes":
      return (shape) => (shape.line ? "hidden" : "shown");
    case "sew-shapes": {
      const now = thread - 1;
      return (shape) => {
        if (sewnBy(shape) === now) return "shown";
        if (shape.line && sewnBy(shape) > now) return "hidden";
        return shape.late && !late ? "hidden" : "dimmed";
      };
    }
    case "lay-shapes":
      return (shape) => {
        if (shape.line) return late && !shape.late ? "dimmed" : "hidden"; // it is sewn, not laid
        if (shape.level === level && !!shape.late === late) return "shown";
        return (shape.late ? late && shape.level < level : late || shape.level < level) ? "dimmed" : "hidden";
      };
  }
  const laid = steps.findIndex((s) => s.about.role === "lay-shapes" && !s.about.late);
  const at = steps.findIndex((s) => s.id === step.id);
  return () => (laid < 0 || at < laid ? "hidden" : "shown");
}
