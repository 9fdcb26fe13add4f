import { render } from "@testing-library/react";
import { expect, test } from "vitest";
import type { BlockView, Swatch } from "../../api/api.gen";
import { enough } from "./BlockEditor";
import { BlockPicture, clothOf, corners } from "./BlockPicture";

const half: BlockView = {
  name: "half-square",
  title: "Half-square triangles",
  text: "A / B",
  letters: ["A", "B"],
  patches: [
    {
      path: "0",
      letter: "A",
      triangle: true,
      share: 0,
      line: [
        [0, 0],
        [1, 0],
        [0, 1],
      ],
    },
    {
      path: "1",
      letter: "B",
      triangle: true,
      share: 0,
      line: [
        [1, 0],
        [1, 1],
        [0, 1],
      ],
    },
  ],
};

test.each([
  ["A", ["X", "Y"], "X"],
  ["B", ["X", "Y"], "Y"],
  ["C", ["X", "Y"], "X"],
  ["D", ["X", "Y", "Z"], "X"],
  ["B", [], "B"],
] as const)("%s of the fabrics %j is %s", (letter, cloths, want) => expect(clothOf(cloths)(letter)).toBe(want));

test("a patch is drawn by its corners", () =>
  expect(
    corners(
      [
        [0, 0],
        [1, 0],
        [0, 0.5],
      ],
      60,
    ),
  ).toBe("M0 0L60 0L0 30Z"));

test("a block shows each patch in its fabric", () => {
  const swatches: Record<string, Swatch> = {
    X: { motif: "plain", ground: "#111111", ink: "#222222" },
    Y: { motif: "dot", ground: "#eeeeee", ink: "#333333" },
  };
  const { container } = render(<BlockPicture block={half} cloths={["X", "Y"]} swatches={swatches} />);
  const paths = [...container.querySelectorAll("svg > path")];
  expect(paths).toHaveLength(2);
  const grounds = paths.map((p) => {
    const id = /#(.+)\)/.exec(p.getAttribute("fill") ?? "")?.[1] ?? "";
    return container.querySelector(`pattern[id="${id}"] rect`)?.getAttribute("fill");
  });
  expect(grounds).toEqual(["#111111", "#eeeeee"]);
});

const plan = ["A", "B", "C", "D"].map((value) => ({ value }));

test.each([
  ["enough already", ["A", "B"], ["A", "B"], ["A", "B"]],
  ["one letter more takes the next fabric of the plan", ["A", "B"], ["A", "B", "C"], ["A", "B", "C"]],
  ["a fabric that is in use is not taken twice", ["C", "A"], ["A", "B", "C"], ["C", "A", "B"]],
  ["where the plan has no more, they go round", ["A", "B", "C", "D"], ["A", "F"], ["A", "B", "C", "D"]],
  ["a block without letters takes none away", ["A", "B"], [], ["A", "B"]],
] as const)("fabrics for the letters of a block: %s", (_, cloths, letters, want) =>
  expect(enough([...cloths], letters, plan)).toEqual([...want]),
);
