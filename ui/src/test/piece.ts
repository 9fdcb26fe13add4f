import type { Piece } from "../api/api.gen";

const mm = 1e6;
const side = { nm: 100 * mm, text: "100 mm", exact: "100" };
const size = { width: side, height: side };
const square = [
  [0, 0],
  [100, 0],
  [100, 100],
  [0, 100],
].map(([x = 0, y = 0]) => ({ x: x * mm, y: y * mm, bulge: 0 }));

/** A front of 100 mm on which nothing is, and whatever a test says of it. */
export const pieceOf = (more: Partial<Piece> = {}): Piece => ({
  name: "front",
  config: "front",
  title: "Front",
  count: 1,
  finished: size,
  trimmed: size,
  before_quilting: size,
  take_up: [0, 0],
  take_up_from: "estimate",
  take_up_range: [
    [0, 0],
    [0, 0],
  ],
  outline: square,
  trimmed_outline: square,
  cut_outline: square,
  ditch: [],
  cells: [],
  seams: [],
  press: [],
  press_conflicts: [],
  shapes: [],
  threads: [],
  outlook: [],
  thick: { nm: 400000, text: "≈1/64″", exact: "0.4 mm" },
  ways: [],
  methods: [],
  waits: false,
  grain: "",
  ...more,
});
