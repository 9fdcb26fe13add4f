import { readFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import type { FoldShown } from "../ui/src/api/api.gen";
import { ball, poses, positions, surfaces } from "../ui/src/fold/pose";
import { accessible, expect, open, put, takes, test } from "./app";

const hood = "/plans/turntable-hood-listening-corner";

/** What is drawn: as a small picture, and how many of its pixels are covered. */
const drawn = (page: Page) =>
  page.locator(".fold-frame canvas").evaluate((canvas) => {
    const copy = document.createElement("canvas");
    [copy.width, copy.height] = [200, 120];
    const context = copy.getContext("2d", { willReadFrequently: true });
    context?.drawImage(canvas as HTMLCanvasElement, 0, 0, 200, 120);
    const pixels = context?.getImageData(0, 0, 200, 120).data ?? [];
    return { picture: copy.toDataURL(), covered: pixels.filter((v, i) => i % 4 === 3 && v > 200).length };
  });

async function folded(page: Page, url: string) {
  takes(20); // graphics are computed here, on the processor: a small picture will do
  await page.setViewportSize({ width: 960, height: 640 });
  await open(page, url);
  await page.getByRole("button", { name: "Fold it up" }).click();
  await expect.poll(async () => (await drawn(page)).covered).toBeGreaterThan(1500);
}

/** Something changes the picture. */
async function changes(page: Page, act: () => Promise<unknown>) {
  const { picture } = await drawn(page);
  await act();
  await expect.poll(async () => (await drawn(page)).picture !== picture).toBe(true);
}

/** A browser without 3-D graphics. */
const withoutThree = (page: Page) =>
  page.addInitScript(() => {
    const get = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
      return kind.startsWith("webgl") ? null : (get as (...all: unknown[]) => unknown).call(this, kind, ...rest);
    } as typeof get;
  });

for (const name of ["in three dimensions", "drawn still"]) {
  const still = name === "drawn still";
  test.describe(name, () => {
    test.beforeEach(async ({ apart }) => {
      if (still) await withoutThree(apart);
    });

    test(`a hood is folded, turned and kept as a picture, ${name}`, async ({ apart: page, demo }) => {
      await folded(page, demo.url + hood);
      await expect(page.getByText("Drawn still")).toHaveCount(still ? 1 : 0);
      await expect(page.getByRole("application", { name: /Turntable hood.*, closed/ })).toBeVisible();
      await expect(page.locator(".fold-room")).toContainText("18″ long (17″ long + 1/2″ what sticks out + 1/2″ ease)");
      const slider = page.getByRole("slider", { name: "From flat to closed" });
      await changes(page, () => slider.fill("40"));
      await expect(slider).toHaveAttribute("aria-valuetext", "40% closed");
      await changes(page, () => slider.press("Home"));
      await expect(page.getByRole("application", { name: /, flat/ })).toBeVisible();
      await changes(page, () => page.locator(".fold-frame").press("ArrowLeft"));
      await changes(page, () => page.getByRole("checkbox", { name: "which way the fabric runs" }).click());
      if (!still) {
        await slider.press("End");
        await changes(page, () => page.getByRole("checkbox", { name: "see what is inside" }).check());
      }
      const saving = page.waitForEvent("download");
      await page.getByRole("button", { name: "Save this picture" }).click();
      const file = await saving;
      expect(file.suggestedFilename()).toBe("Turntable hood, listening corner folded.png");
      const png = readFileSync(await file.path());
      expect(png.subarray(1, 4).toString()).toBe("PNG");
      expect(png.readUInt32BE(16)).toBeGreaterThan(400); // its width
      await accessible(page.locator(".folded"));
    });

    test(`a cushion is filled, and follows the brief, ${name}`, async ({ apart: page, demo }) => {
      await folded(page, `${demo.url}/plans/reading-corner-cushion`);
      await changes(page, () => page.getByRole("checkbox", { name: "filled" }).uncheck());
      await expect(page.locator(".fold-room")).toContainText("19″ across (20″ across − 1″ ease)");
      await changes(page, () => put(page, "Width of the insert", "24"));
      await expect(page.locator(".fold-room")).toContainText("23″ across");
    });
  });
}

test("what folds is loaded when it is opened, and the key F opens it", async ({ apart: page, demo }) => {
  const scripts: string[] = [];
  page.on("response", (r) => r.url().endsWith(".js") && scripts.push(r.url()));
  await open(page, demo.url + hood);
  await expect(page.getByRole("button", { name: "Fold it up" })).toBeVisible();
  expect(scripts.filter((s) => /Folded|Scene/.test(s))).toEqual([]);
  await page.keyboard.press("f");
  await expect(page.getByRole("slider", { name: "From flat to closed" })).toBeVisible();
  expect(scripts.filter((s) => /Folded/.test(s))).toHaveLength(1);
  await page.locator("body").press("f");
  await expect(page.getByLabel(/^The pieces of Turntable hood/)).toBeVisible();
});

test("a server that is away is told, and asked once more", async ({ page, demo }) => {
  await page.route("**/api/v1/fold", (route) => route.abort(), { times: 1 });
  await open(page, demo.url + hood);
  await page.getByRole("button", { name: "Fold it up" }).click();
  await expect(page.getByText("The app’s server does not answer.")).toBeVisible();
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(page.getByRole("slider", { name: "From flat to closed" })).toBeVisible();
});

// The picture is posed by the browser and the room is read off by the core: both must fold
// alike, whatever the cover.
test("a change whose fold does not come is told, and the one before stays", async ({ page, demo }) => {
  await folded(page, demo.url + hood);
  await page.route("**/api/v1/fold", (route) => route.abort(), { times: 1 });
  await put(page, "Length of the box", "20");
  await expect(page.getByText("Folded as it was before the last change.")).toBeVisible();
  await expect(page.locator(".fold-room")).toHaveCount(0);
  await page.getByRole("button", { name: "Try again" }).click();
  await expect(page.locator(".fold-room")).toContainText("21″ long");
});

test("every demo plan folds in the picture as it does in the core", async ({ demo }) => {
  const plans: { id: string; title: string }[] = await (await fetch(`${demo.url}/api/v1/plans`)).json();
  expect(plans.length).toBeGreaterThan(20);
  const kinds = new Set<string>();
  for (const { id } of plans) {
    const { plan } = await (await fetch(`${demo.url}/api/v1/plans/${id}`)).json();
    const answer = await fetch(`${demo.url}/api/v1/fold`, { method: "POST", body: JSON.stringify(plan) });
    const fold: FoldShown = await answer.json();
    expect(fold.leaves.length, id).toBeGreaterThan(1);
    expect(
      fold.inside.every((i) => i.fits),
      id,
    ).toBe(true);
    const sides = [0, 1].flatMap((share) => {
      const at = poses(fold.leaves, share);
      const points = surfaces(fold.leaves).map((s) => positions(s, at, 0));
      const least = [0, 1, 2].map((k) =>
        Math.min(...points.flatMap((list) => [...list].filter((_, i) => i % 3 === k))),
      );
      const most = [0, 1, 2].map((k) => Math.max(...points.flatMap((list) => [...list].filter((_, i) => i % 3 === k))));
      const { middle, radius } = ball(points);
      expect(middle.x).toBeCloseTo(((least[0] ?? 0) + (most[0] ?? 0)) / 2, 3);
      expect(2 * radius).toBeCloseTo(Math.hypot(...most.map((m, k) => m - (least[k] ?? 0))), 2);
      return most.map((m, k) => m - (least[k] ?? 0));
    });
    expect(Math.max(...sides), id).toBeCloseTo(fold.size, 1);
    kinds.add(plan.cover.kind);
  }
  expect([...kinds].sort()).toEqual([
    "band-hood",
    "boxed-cushion",
    "cushion",
    "jacket",
    "pad",
    "skirt-hood",
    "wrap-hood",
  ]);
});
