import { expect, test } from "vitest";
import { stageOf } from "./stages";

const stages = Object.entries({
  Measure: ["/object", "/copies"],
  Cover: ["/cover"],
  Front: ["/pieces"],
  Layers: ["/pieces/*/layers", "/pieces/*/quilting"],
  Back: ["/back", "/pieces/back"],
}).map(([name, about]) => ({ name, about, blocks: [] }));

test.each([
  ["/object/width", "Measure"],
  ["/cover/ease/width", "Cover"],
  ["/pieces/front/face/patch/width", "Front"],
  ["/pieces/*/face/kind", "Front"],
  ["/pieces/front/quilting/lines/0/pitch", "Layers"],
  ["/pieces/back/layers/lining", "Layers"],
  ["/pieces/back/face", "Back"],
  ["/back", "Back"],
  ["/backs", "Measure"],
  ["/somewhere/else", "Measure"],
])("a finding about %s stands at %s", (about, stage) =>
  expect(stageOf({ about, code: "", level: "stop", text: "" }, stages)).toBe(stage),
);

test("a brief without stages has none to stand at", () =>
  expect(stageOf({ about: "/back", code: "", level: "stop", text: "" }, [])).toBeUndefined());
