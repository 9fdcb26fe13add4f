import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import DxfParser, { type IPolylineEntity } from "dxf-parser";
import { svgPathProperties } from "svg-path-properties";
import { expect, type Server, stored, test } from "./app";

// Drawings at true size, read by programs that know nothing of this one: svg-path-properties
// and dxf-parser from npm, hp2xx from Debian.

type Sort = "piece" | "pieces" | "template" | "lay";

async function drawing(server: Server, plan: string, sort: Sort, of: string, as: string): Promise<string> {
  const response = await fetch(`${server.url}/api/v1/plans/${plan}/drawings/${sort}?${new URLSearchParams({ of, as })}`);
  expect(response.status, `${plan} ${sort} ${of} as ${as}`).toBe(200);
  return response.text();
}

const points = (d: string) => new svgPathProperties(d).getTotalLength();

/** How long the lines of a layer are in an SVG whose unit is a millimetre. */
function inSvg(text: string, layer: string): number {
  const [, group = ""] = new RegExp(`<g id="${layer}"[^>]*>([^]*?)</g>`).exec(text) ?? [];
  return [...group.matchAll(/ d="([^"]+)"/g)].reduce((sum, [, d]) => sum + points(d ?? ""), 0);
}

/** The same in a DXF whose unit is a millimetre, over all its blocks. */
function inDxf(text: string, layer: string): number {
  const dxf = new DxfParser().parseSync(text);
  let sum = 0;
  for (const block of Object.values(dxf?.blocks ?? {})) {
    for (const entity of block.entities ?? []) {
      if (entity.layer !== layer || entity.type !== "POLYLINE") continue;
      const { vertices, shape } = entity as IPolylineEntity;
      vertices.forEach((v, i) => {
        const next = vertices[i + 1] ?? (shape ? vertices[0] : undefined);
        if (next) sum += Math.hypot(next.x - v.x, next.y - v.y);
      });
    }
  }
  return sum;
}

/** All that pen 1 draws of a plotter file, as hp2xx draws it at true size, in points of a 72nd of an inch. */
function inPlot(text: string): number {
  const dir = mkdtempSync(join(tmpdir(), "umschlag-plot-"));
  const [from, to] = [join(dir, "a.plt"), join(dir, "a.svg")];
  writeFileSync(from, text.replace(/SP2;.*?(?=SP1;)/s, "")); // what is only drawn is another length
  execFileSync("hp2xx", ["-q", "-t", "-m", "svg", "-f", to, from]);
  const svg = readFileSync(to, "utf8");
  rmSync(dir, { recursive: true });
  const total = [...svg.matchAll(/ d="([^"]+)"/g)].reduce((sum, [, d]) => sum + points((d ?? "").replaceAll(",", " ")), 0);
  return (total / 72) * 25.4;
}

test("a square of 100 mm is 100.00 mm in every format", async ({ workshop }) => {
  const plan = {
    format: "umschlag/plan/1",
    title: "Test square",
    units: "mm",
    object: { kind: "form", width: "86", height: "86" },
    cover: { kind: "cushion", seam: "7" },
    pieces: { front: { face: { kind: "plain", cloth: "A" } }, back: { face: { kind: "plain", cloth: "A" } } },
    back: { kind: "sewn", gap: "30" },
    cloths: { A: { name: "calico" } },
  };
  const made = await fetch(`${workshop.url}/api/v1/plans`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ plan }),
  });
  const { id, reckoning } = await made.json();
  const cut = reckoning.cuts.find((c: { id: string }) => c.id.startsWith("front"));
  expect([cut.width.nm, cut.height.nm]).toEqual([100e6, 100e6]);
  const svg = await drawing(workshop, id, "template", cut.id, "svg");
  const [, d = ""] = /<g id="cut"[^>]*>\s*<path d="([^"]+)"/.exec(svg) ?? [];
  for (const part of new svgPathProperties(d).getParts()) expect(part.length).toBeCloseTo(100, 2);
  expect(svg).toMatch(/width="120\.0000mm" height="120\.0000mm" viewBox="0 0 120\.0000 120\.0000"/);
  expect(inDxf(await drawing(workshop, id, "template", cut.id, "dxf"), "1") / 4).toBeCloseTo(100, 2);
  expect(inPlot(await drawing(workshop, id, "template", cut.id, "plt")) / 4).toBeCloseTo(100, 2);
});

const pieces: [string, string][] = [
  ["reading-corner-cushion", "front"],
  ["turntable-hood-listening-corner", "end"],
  ["label-printer-hood", "face"],
  ["listening-stool-cushion", "face"],
  ["boxed-bench-cushion", "face"],
  ["van-cushion-in-four-layers", "front"],
];

for (const [plan, piece] of pieces) {
  test(`the way round ${piece} of ${plan} is the same in every format`, async ({ demo }) => {
    const { reckoning } = await stored(demo, plan);
    expect(reckoning.pieces.map((p: { name: string }) => p.name)).toContain(piece);
    const svg = await drawing(demo, plan, "piece", piece, "svg");
    const dxf = await drawing(demo, plan, "piece", piece, "dxf");
    for (const [layer, number] of [
      ["cut", "1"],
      ["sew", "14"],
    ] as const) {
      expect(Math.abs(inSvg(svg, layer) - inDxf(dxf, number)), layer).toBeLessThan(0.01);
    }
    expect(Math.abs(inSvg(svg, "cut") - inPlot(await drawing(demo, plan, "piece", piece, "plt")))).toBeLessThan(0.01);
    expect(svg).toContain("<text");
  });
}

test("every piece of a cover in one file, and a lay with its numbers", async ({ page, demo }) => {
  const plan = "turntable-hood-listening-corner";
  const { reckoning } = await stored(demo, plan);
  const dxf = new DxfParser().parseSync(await drawing(demo, plan, "pieces", "", "dxf"));
  expect(Object.keys(dxf?.blocks ?? {})).toHaveLength(reckoning.pieces.length);
  const lay = await drawing(demo, plan, "lay", reckoning.cloths[0].cloth, "svg");
  expect(lay.match(/<text/g)).toHaveLength(reckoning.cloths[0].lay.placed.length);
  await page.goto(`${demo.url}/plans/${plan}`);
  const got = page.waitForEvent("download");
  await page.getByRole("link", { name: "Main panel as an SVG drawing" }).click();
  expect((await got).suggestedFilename()).toBe(`${plan}-main.svg`);
  const wrong = await fetch(`${demo.url}/api/v1/plans/${plan}/drawings/piece?of=nothing&as=svg`);
  expect([wrong.status, (await wrong.json()).detail]).toEqual([404, expect.stringContaining("nothing of that name")]);
  const kind = await fetch(`${demo.url}/api/v1/plans/${plan}/drawings/piece?of=main&as=gif`);
  expect([kind.status, (await kind.json()).detail]).toEqual([400, expect.stringContaining("svg, a dxf or a plt")]);
});

test("shapes are read from a DXF as from an SVG", async ({ page, demo }) => {
  const plan = "van-cushion-in-four-layers";
  const dxf = await drawing(demo, plan, "piece", "back", "dxf");
  await page.goto(`${demo.url}/plans/${plan}#front`);
  await page.getByText("Lay a shape on").click();
  await page
    .getByLabel("SVG or DXF file with shapes")
    .setInputFiles({ name: "back.dxf", mimeType: "image/vnd.dxf", buffer: Buffer.from(dxf) });
  await expect(page.getByText(/Read: \d+ shapes/)).toBeVisible();
  await page
    .getByLabel("SVG or DXF file with shapes")
    .setInputFiles({ name: "cut.dxf", mimeType: "image/vnd.dxf", buffer: Buffer.from(dxf.slice(0, 900)) });
  await expect(page.getByRole("alert").filter({ hasText: "release 12" })).toBeVisible();
});
