import { expect, test } from "vitest";
import { stageOf } from "./stages";

test.each([
  ["/object/width", "Measure"],
  ["/copies", "Measure"],
  ["/cover/ease/width", "Cover"],
  ["/pieces/front/face/patch/width", "Front"],
  ["/pieces/*/face/kind", "Front"],
  ["/pieces/front/quilting/lines/0/pitch", "Layers"],
  ["/pieces/*/take_up", "Layers"],
  ["/back/overlap", "Back"],
  ["/pieces/back/face", "Back"],
  ["/measured/0/width", "Back"],
  ["/edges/inside", "Edges"],
  ["/habits/step", "Edges"],
  ["/cloths/A/have", "Cloth"],
  ["/fittings/0/at", "Fittings"],
  ["/somewhere/else", "Measure"],
])("a finding about %s stands at %s", (about, stage) =>
  expect(stageOf({ about, code: "", level: "stop", text: "" })).toBe(stage),
);

test("a cover without a front and a back finds them at its pieces", () => {
  const about = (path: string) => stageOf({ about: path, code: "", level: "stop", text: "" }, false);
  expect(about("/pieces/main/face/kind")).toBe("Pieces");
  expect(about("/back/gap")).toBe("Cover");
  expect(about("/cover/band_length")).toBe("Cover");
});
