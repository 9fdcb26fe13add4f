import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import DxfParser, { type IPolylineEntity } from "dxf-parser";
import Papa from "papaparse";
import { svgPathProperties } from "svg-path-properties";
import { accessible, expect, open, type Server, stored, test } from "./app";

// Drawings at true size, read by programs that know nothing of this one: svg-path-properties
// and dxf-parser from npm, hp2xx from Debian.

type Sort = "piece" | "pieces" | "template" | "lay";

async function drawing(server: Server, plan: string, sort: Sort, of: string, as: string): Promise<string> {
  const response = await fetch(
    `${server.url}/api/v1/plans/${plan}/drawings/${sort}?${new URLSearchParams({ of, as })}`,
  );
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
  const total = [...svg.matchAll(/ d="([^"]+)"/g)].reduce(
    (sum, [, d]) => sum + points((d ?? "").replaceAll(",", " ")),
    0,
  );
  return (total / 72) * 25.4;
}

test("a square of 100 mm is 100.00 mm in every format", async ({ workshop }) => {
  const plan = {
    format: "umschlag/plan/2",
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
  const cut = reckoning.cuts.find((c: { piece: string }) => c.piece === "front");
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
  ["label-printer-hood", "face.1"],
  ["listening-stool-cushion", "face"],
  ["boxed-bench-cushion", "face"],
  ["van-cushion-in-four-layers", "front"],
];

test("the way round a piece is the same in every format", async ({ demo }) => {
  for (const [plan, piece] of pieces) {
    const { reckoning } = await stored(demo, plan);
    expect(reckoning.pieces.map((p: { name: string }) => p.name)).toContain(piece);
    const svg = await drawing(demo, plan, "piece", piece, "svg");
    const dxf = await drawing(demo, plan, "piece", piece, "dxf");
    for (const [layer, number] of [
      ["cut", "1"],
      ["sew", "14"],
    ] as const) {
      expect(Math.abs(inSvg(svg, layer) - inDxf(dxf, number)), `${piece} of ${plan}, ${layer}`).toBeLessThan(0.01);
    }
    expect(Math.abs(inSvg(svg, "cut") - inPlot(await drawing(demo, plan, "piece", piece, "plt")))).toBeLessThan(0.01);
    expect(svg).toContain("<text");
  }
});

test("every piece of a cover in one file, and a lay with its numbers", async ({ page, demo }) => {
  const plan = "turntable-hood-listening-corner";
  const { reckoning } = await stored(demo, plan);
  const dxf = new DxfParser().parseSync(await drawing(demo, plan, "pieces", "", "dxf"));
  expect(Object.keys(dxf?.blocks ?? {})).toHaveLength(reckoning.pieces.length);
  const lay = await drawing(demo, plan, "lay", reckoning.cloths[0].cloth, "svg");
  expect(lay.match(/<text/g)).toHaveLength(reckoning.cloths[0].lay.placed.length);
  await open(page, `${demo.url}/plans/${plan}`);
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
  await open(page, `${demo.url}/plans/${plan}#front`);
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

/** A program of Debian's poppler-utils on a PDF, with what it prints. */
function poppler(tool: string, pdf: Buffer, ...args: string[]): string {
  const dir = mkdtempSync(join(tmpdir(), "umschlag-pdf-"));
  const from = join(dir, "a.pdf");
  writeFileSync(from, pdf);
  const out = execFileSync(
    tool,
    args.map((a) => (a === "IN" ? from : a)),
    { encoding: "utf8", maxBuffer: 64 << 20 },
  );
  rmSync(dir, { recursive: true });
  return out;
}

async function pack(server: Server, plan: string, query: Record<string, string>): Promise<Buffer> {
  const response = await fetch(`${server.url}/api/v1/plans/${plan}/pack.pdf?${new URLSearchParams(query)}`);
  expect(response.status).toBe(200);
  return Buffer.from(await response.arrayBuffer());
}

/** The lines of a page in millimetres: each with its length and whether it is closed. */
function linesOf(pdf: Buffer, page: number) {
  const svg = poppler(
    "pdftocairo",
    pdf,
    "-svg",
    "-paper",
    "match",
    "-noshrink",
    "-f",
    String(page),
    "-l",
    String(page),
    "IN",
    "-",
  );
  return [...svg.matchAll(/<path style="fill:none[^>]*? d="([^"]+)"(?: transform="matrix\(([^)]+)\)")?/g)].map(
    ([, d = "", matrix = "1,0,0,1,0,0"]) => {
      const [scale = 1] = matrix.split(",").map(Number);
      return { long: ((points(d) * Math.abs(scale)) / 72) * 25.4, closed: / Z /.test(d) };
    },
  );
}

test("the print pack: pages, words, test squares and a template at true size", async ({ demo }) => {
  const plan = "turntable-hood-listening-corner";
  const { reckoning } = await stored(demo, plan);
  for (const [paper, size] of [
    ["a4", "595.28 x 841.89"],
    ["letter", "612 x 792"],
  ] as const) {
    const info = poppler("pdfinfo", await pack(demo, plan, { paper }), "IN");
    expect(info).toContain(`Page size:       ${size} pts`);
    expect(Number(/Pages:\s+(\d+)/.exec(info)?.[1])).toBeLessThan(10);
  }
  const all = await pack(demo, plan, { paper: "a4" });
  const text = poppler("pdftotext", all, "-layout", "IN", "-");
  for (const step of reckoning.steps) expect(text).toContain(step.title);
  for (const cut of reckoning.cuts)
    expect(text).toContain(
      `${cut.total === 1 ? "1 piece" : `${cut.total} pieces`}, ${cut.width.text} × ${cut.height.text}`,
    );
  const fonts = poppler("pdffonts", all, "IN").trim().split("\n").slice(2);
  expect(fonts.length).toBeGreaterThan(0);
  for (const font of fonts) expect(font, "fonts are embedded").toMatch(/ yes +(yes|no) +yes /);

  const templates = await pack(demo, plan, { paper: "a4", parts: "templates" });
  const first = linesOf(templates, 1).filter((l) => l.closed);
  for (const side of [50.8, 50])
    expect(
      first.some((l) => Math.abs(l.long / 4 - side) < 0.01),
      `a square of ${side} mm`,
    ).toBe(true);
  // The end panel is larger than a page: its corner does for both. Two of them and the straight edges between are its way round.
  const svg = (await drawing(demo, plan, "piece", "end", "svg")).replace(/\n/g, " ");
  const around = inSvg(svg, "trim") || inSvg(svg, "cut");
  const end = reckoning.pieces.find((p: { name: string }) => p.name === "end");
  const [wide, high] = [end.trimmed.width.nm / 1e6, end.trimmed.height.nm / 1e6];
  const open = linesOf(templates, 1).filter((l) => !l.closed);
  expect(
    open.some((cut) =>
      open.some(
        (edges) => Math.abs(2 * cut.long + (wide - edges.long) + 2 * (high - edges.long / 2) + wide - around) < 0.02,
      ),
    ),
  ).toBe(true);

  const wrong = await fetch(`${demo.url}/api/v1/plans/${plan}/pack.pdf?paper=a3`);
  expect([wrong.status, (await wrong.json()).detail]).toEqual([400, 'There is no paper "a3": choose a4 or letter.']);
});

test("a square of 100 mm that is laid on is 100.00 mm on paper and in every file", async ({ demo }) => {
  const id = "reading-corner-cushion";
  const { plan, revision } = await stored(demo, id);
  const square = { shape: "M0 0h100v100h-100z", width: "100 mm", cloth: "C", edge: "none", at: { middle: true } };
  plan.pieces.front.face.applique = [square];
  const put = await fetch(`${demo.url}/api/v1/plans/${id}`, {
    method: "PUT",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ base: revision, plan, label: "a square" }),
  });
  const { reckoning } = await put.json();
  const cut = reckoning.cuts.find((c: { path?: string }) => c.path);
  for (const paper of ["a4", "letter"]) {
    const lines = linesOf(await pack(demo, id, { paper, parts: "templates" }), 1).filter((l) => l.closed);
    expect(lines.some((l) => Math.abs(l.long / 4 - 100) < 0.005)).toBe(true);
  }
  expect(inSvg(await drawing(demo, id, "template", cut.id, "svg"), "cut") / 4).toBeCloseTo(100, 2);
  expect(inDxf(await drawing(demo, id, "template", cut.id, "dxf"), "1") / 4).toBeCloseTo(100, 2);
  expect(inPlot(await drawing(demo, id, "template", cut.id, "plt")) / 4).toBeCloseTo(100, 2);
});

test("lists are tables that another program reads", async ({ page, demo }) => {
  const plan = "van-cushion-in-four-layers";
  const { reckoning } = await stored(demo, plan);
  const table = async (path: string) => {
    const answer = await fetch(`${demo.url}/api/v1${path}`);
    expect(answer.headers.get("content-type")).toBe("text/csv; charset=utf-8");
    const { data, errors } = Papa.parse<Record<string, string>>(await answer.text(), {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    return data;
  };
  const cuts = await table(`/plans/${plan}/cuts.csv`);
  expect(cuts.map((row) => [row.title, Number(row["in all"])])).toEqual(
    reckoning.cuts.map((cut: { title: string; total: number }) => [cut.title, cut.total]),
  );
  expect(cuts[0]?.width).toBe(`${reckoning.cuts[0].width.exact} in`);
  const steps = await table(`/plans/${plan}/steps.csv`);
  expect(steps.map((row) => row["what is done"])).toEqual(reckoning.steps.map((step: { text: string }) => step.text));
  const shopping = await (await fetch(`${demo.url}/api/v1/shopping?plan=${plan}`)).json();
  const bought = await table(`/shopping.csv?plan=${plan}`);
  expect(bought.map((row) => row.what)).toEqual([
    ...shopping.cloths.map((c: { name: string }) => c.name),
    ...shopping.things.map((t: { what: string }) => t.what),
  ]);
  for (const [path, name] of [
    [`/plans/${plan}/cut`, "Download as CSV"],
    [`/plans/${plan}/sew`, "Download as CSV"],
    ["/cloth/shopping", "Download as CSV"],
  ] as const) {
    await open(page, demo.url + path);
    const got = page.waitForEvent("download");
    await page.getByRole("link", { name, exact: true }).click();
    expect((await got).suggestedFilename()).toMatch(/\.csv$/);
  }
});

test("a pattern that comes back is held against the plan", async ({ page, demo }) => {
  const plan = "turntable-hood-listening-corner";
  const before = (await stored(demo, plan)).plan;
  const dxf = await drawing(demo, plan, "pieces", "", "dxf");
  await open(page, `${demo.url}/plans/${plan}/print`);
  const input = page.getByLabel("Pattern to compare");
  const send = (text: string) =>
    input.setInputFiles({ name: "pattern.dxf", mimeType: "image/vnd.dxf", buffer: Buffer.from(text) });
  await send(dxf);
  const list = page.getByRole("list", { name: "What the pattern has" });
  await expect(list.getByText("agrees with the plan.")).toHaveCount(2);
  await accessible(list);
  await send(dxf.replaceAll("02_END_PANEL", "02_LID"));
  await expect(list).toContainText("End panel is not in the pattern.");
  await expect(list).toContainText("02_LID is no piece of this plan; name it as the plan does.");
  await send(dxf.replaceAll(/^POLYLINE\r\n {2}8\r\n14\r/gm, "POLYLINE\r\n  8\r\nSEAMS\r"));
  await expect(list).toContainText("The pattern lacks the sewn line.");
  await expect(page.getByText(/Not read: .*line on layer "SEAMS"/)).toBeVisible();
  await send(dxf.slice(0, 3000));
  await expect(page.getByRole("alert")).toContainText("The drawing cannot be read");
  expect((await stored(demo, plan)).plan).toEqual(before);
});

test("what is printed is chosen where it is printed", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/reading-corner-cushion`);
  await page.getByRole("link", { name: "Print", exact: true }).click();
  await expect(page.getByRole("radio", { name: /^Letter/ })).toBeChecked();
  await page.getByRole("radio", { name: /^A4/ }).check();
  for (const part of ["Title page", "Sums", "Cutting layouts", "Pressing", "Steps", "Templates"])
    await page.getByRole("checkbox", { name: new RegExp(`^${part}`) }).uncheck();
  const href = await page.getByRole("link", { name: "Open the PDF" }).getAttribute("href");
  const pdf = Buffer.from(await (await fetch(demo.url + href)).arrayBuffer());
  expect(poppler("pdfinfo", pdf, "IN")).toMatch(/Pages:\s+1\n/);
  await page.getByRole("checkbox", { name: /^Cuts/ }).uncheck();
  await expect(page.getByRole("button", { name: "Open the PDF" })).toBeDisabled();
  await accessible(page);
});

test("a plan to be shared is one page that opens by itself", async ({ page, demo, browser }) => {
  await open(page, `${demo.url}/plans/van-cushion-in-four-layers/print`);
  const got = page.waitForEvent("download");
  await page.getByRole("link", { name: "one page with all of it" }).click();
  const download = await got;
  expect(download.suggestedFilename()).toBe("van-cushion-in-four-layers.html");
  const dir = mkdtempSync(join(tmpdir(), "umschlag-page-"));
  const file = join(dir, "van.html");
  await download.saveAs(file);
  await demo.stop(); // nothing is asked of the app
  const context = await browser.newContext({ offline: true, javaScriptEnabled: false });
  const shared = await context.newPage();
  const asked: string[] = [];
  shared.on("request", (r) => asked.push(r.url()));
  await shared.goto(`file://${file}`);
  await expect(shared.getByRole("heading", { level: 1 })).toHaveText("Van cushion in four layers");
  await expect(shared.getByRole("img", { name: "Front" })).toBeVisible();
  await expect(shared.getByText("Sew the edges of moss leaf")).toBeVisible();
  expect(asked).toEqual([`file://${file}`]);
  await context.close();
  const reading = await browser.newContext();
  const readable = await reading.newPage();
  await readable.goto(`file://${file}`);
  await accessible(readable);
  await readable.setViewportSize({ width: 390, height: 800 });
  expect(await readable.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(
    0,
  );
  await reading.close();
  rmSync(dir, { recursive: true });
});

test("a whole workshop is saved as one file and brought in where nothing is yet", async ({ page, demo, workshop }) => {
  await open(page, demo.url);
  const got = page.waitForEvent("download");
  await page.getByRole("link", { name: "save it as one file" }).click();
  const download = await got;
  expect(download.suggestedFilename()).toBe("workshop.zip");
  const file = readFileSync(await download.path());
  const input = page.getByLabel("File of a whole workshop");
  await input.setInputFiles({ name: "workshop.zip", mimeType: "application/zip", buffer: file });
  await expect(page.getByRole("alert")).toContainText("brought into an empty one");
  await open(page, workshop.url);
  await expect(page.getByText("The shelf is empty.")).toBeVisible();
  await input.setInputFiles({ name: "half.zip", mimeType: "application/zip", buffer: file.subarray(0, 5000) });
  await expect(page.getByRole("alert")).toContainText("Nothing was brought in");
  await expect(page.getByText("The shelf is empty.")).toBeVisible();
  await input.setInputFiles({ name: "workshop.zip", mimeType: "application/zip", buffer: file });
  await expect(page.getByRole("heading", { level: 2, name: "Reading-corner cushion" })).toBeVisible();
  await accessible(page);
  const again = await fetch(`${workshop.url}/api/v1/workshop.zip`);
  expect(Buffer.compare(Buffer.from(await again.arrayBuffer()), file)).toBe(0);
});
