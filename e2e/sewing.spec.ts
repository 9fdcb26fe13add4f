import ICAL from "ical.js";
import { accessible, expect, open, put, saved, stored, takes, test } from "./app";

const hood = "turntable-hood-listening-corner";
const reading = "reading-corner-cushion";

test("the time of a step, taken, corrected, and kept when the server is killed", async ({ page, workshop, demo }) => {
  const { plan } = await stored(demo, hood);
  const made = await fetch(`${workshop.url}/api/v1/plans`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ plan }),
  });
  const { id } = await made.json();
  await open(page, `${workshop.url}/plans/${id}/sew`);
  await page.getByRole("button", { name: "Start the timer" }).click();
  await saved(page);
  const since = (await stored(workshop, id)).plan.progress.running.since;
  await workshop.stop("SIGKILL");
  await workshop.again();
  await page.reload();
  await expect(page.getByText(/under a minute so far|1 min so far/)).toBeVisible();
  expect((await stored(workshop, id)).plan.progress.running.since).toBe(since);
  await page.getByRole("button", { name: "Stop the timer" }).click();
  await saved(page);
  const took = page.getByRole("textbox", { name: /^Minutes .* took$/ });
  await took.fill("12.5");
  await took.press("Enter");
  await saved(page);
  const { plan: kept } = await stored(workshop, id);
  expect(Object.values(kept.progress.times)).toEqual([12.5]);
  expect(kept.progress.running).toBeUndefined();
  await accessible(page);
});

test("the usual time of a step is told when it is over; a timer that jumped is not believed", async ({
  apart: page,
  demo,
}) => {
  await page.clock.install({ time: new Date("2026-11-27T19:00:00Z") });
  await open(page, `${demo.url}/plans/${hood}/sew`);
  await page.getByRole("button", { name: "Start the timer" }).click();
  await expect(page.getByRole("timer")).toBeVisible();
  await page.clock.runFor("05:00");
  await expect(page.getByText("The usual time is over.")).toBeVisible();
  await page.clock.setFixedTime(new Date("2026-11-27T18:00:00Z"));
  await page.getByRole("button", { name: "Stop the timer" }).click();
  await expect(page.getByRole("alert")).toContainText("The timer jumped");
});

test("a step before its turn, and one left out, each with its reason", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${hood}/sew`);
  const steps = page.getByRole("list", { name: "Steps" }).getByRole("button");
  await steps.nth(3).click();
  const title = await page.getByRole("heading", { level: 1 }).textContent();
  await page.getByRole("button", { name: "Done, next step" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("Before it:");
  await expect(dialog.getByRole("button", { name: "It is done" })).toBeDisabled();
  await accessible(dialog);
  await dialog.getByLabel("The reason").fill("the lining was cut already");
  await dialog.getByRole("button", { name: "It is done" }).click();
  await saved(page);
  const early = (await stored(demo, hood)).plan.progress;
  expect(Object.values(early.early)).toEqual(["the lining was cut already"]);
  expect(early.done).toEqual(Object.keys(early.early));
  await page.getByRole("button", { name: "Leave it out" }).click();
  await dialog.getByLabel("The reason").fill("measured last year");
  await dialog.getByRole("button", { name: "Leave it out" }).click();
  await expect(steps.first()).toContainText("(left out)");
  await steps.first().click();
  await expect(page.getByText("Left out: measured last year")).toBeVisible();
  await page.getByRole("button", { name: "Do it after all" }).click();
  await expect(steps.first()).not.toContainText("(left out)");
  await steps
    .filter({ hasText: title ?? "" })
    .first()
    .click();
  await expect(page.getByText("Done before its turn: the lining was cut already")).toBeVisible();
});

test("a step is divided, put together again, and done again with all that stands on it", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/sew`);
  const steps = page.getByRole("list", { name: "Steps" }).getByRole("button");
  await expect(steps.first()).toBeVisible();
  const count = await steps.count();
  await steps.filter({ hasText: /^Quilt$/ }).click();
  await page.getByRole("button", { name: "Divide it" }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("Its parts").fill("only one");
  await expect(dialog.getByRole("button", { name: "Divide it" })).toBeDisabled();
  await expect(dialog).toContainText("Name 2 to 12 parts");
  await dialog.getByLabel("Its parts").fill("rising lines\nfalling lines\n");
  await accessible(dialog);
  await dialog.getByRole("button", { name: "Divide it" }).click();
  await expect(steps).toHaveCount(count + 1);
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Quilt: rising lines");
  await page.getByRole("button", { name: "Put it together again" }).click();
  await expect(steps).toHaveCount(count);
  await page.keyboard.press("Control+z");
  await expect(steps.filter({ hasText: "Quilt: falling lines" })).toBeVisible();
  const { plan, revision, reckoning } = await stored(demo, reading);
  const parts = { key: expect.any(String) };
  const quilt = "step.piece:front.role:quilt";
  expect(plan.progress.parts).toEqual({
    [quilt]: [
      { ...parts, name: "rising lines" },
      { ...parts, name: "falling lines" },
    ],
  });
  const done = reckoning.steps.map((s: { id: string }) => s.id).slice(0, 9);
  await fetch(`${demo.url}/api/v1/plans/${reading}`, {
    method: "PUT",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ base: revision, plan: { ...plan, progress: { ...plan.progress, done } }, label: "sewn" }),
  });
  await page.reload();
  await steps.filter({ hasText: "Sew row 1" }).click();
  await page.getByRole("button", { name: "Do it again" }).click();
  await expect(dialog).toContainText("What stands on it comes again too: join the rows.");
  await dialog.getByLabel("The reason").fill("two patches the wrong way round");
  await dialog.getByRole("button", { name: "Do it again" }).click();
  await expect(page.getByRole("list", { name: "What went wrong here" })).toContainText(
    "two patches the wrong way round",
  );
  await saved(page);
  const after = (await stored(demo, reading)).plan.progress;
  expect(after.done).toEqual(
    done.filter((id: string) => id !== "step.piece:front.role:row.no:1" && id !== "step.piece:front.role:rows"),
  );
});

test("what a change after cutting spoils is listed before it is saved", async ({ page, demo }) => {
  const patches = "cut.piece:front.role:patch.cloth:A";
  const { plan, revision } = await stored(demo, reading);
  await fetch(`${demo.url}/api/v1/plans/${reading}`, {
    method: "PUT",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({
      base: revision,
      plan: {
        ...plan,
        progress: {
          cut: { [patches]: {} },
          done: ["step.piece:front.role:cut-outer", "step.piece:front.role:row.no:1"],
        },
      },
      label: "cut",
    }),
  });
  await open(page, `${demo.url}/plans/${reading}#cover`);
  await put(page, "Piecing seam", "3/8");
  const dialog = page.getByRole("dialog", { name: "This is done already" });
  await expect(dialog).toContainText("it is too small");
  await expect(dialog).toContainText("Done otherwise now: cut the front, sew row 1.");
  await accessible(dialog);
  await dialog.getByRole("button", { name: "Take the change back" }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole("textbox", { name: "Piecing seam", exact: true })).not.toHaveValue(/3\/8/);
  expect((await stored(demo, reading)).revision).toBe(revision + 1);
  await put(page, "Piecing seam", "3/8");
  await dialog.getByRole("button", { name: "Do it again" }).click();
  await saved(page);
  const after = (await stored(demo, reading)).plan;
  expect([after.cover.piecing_seam, after.progress]).toEqual(["3/8", undefined]);
});

test("of two pockets the first is sewn on; taken off, the other one is still to be sewn", async ({ page, demo }) => {
  const pad = "story-mat-seat-pad";
  const { plan, revision } = await stored(demo, pad);
  const pocket = (key: string, left: string) => ({
    key,
    kind: "pocket",
    on: "top",
    width: "4",
    height: "4",
    at: { left, top: "2" },
  });
  const fittings = [pocket("one", "2"), pocket("two", "9")];
  const progress = {
    cut: { "cut.of:one.role:fitting-part.no:1": {} },
    done: ["step.role:cut-outer", "step.of:one.role:fit"],
  };
  const kept = await fetch(`${demo.url}/api/v1/plans/${pad}`, {
    method: "PUT",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({
      base: revision,
      plan: { ...plan, fittings, progress },
      label: "one pocket sewn on",
      spoils: "again",
    }),
  });
  expect(kept.status).toBe(200);
  await open(page, `${demo.url}/plans/${pad}#fittings`);
  const dialog = page.getByRole("dialog", { name: "This is done already" });
  await page.getByRole("button", { name: "Take the pocket off" }).first().click();
  await expect(dialog).toContainText("Pocket of");
  await expect(dialog).toContainText("not part of the plan any more");
  await accessible(dialog);
  await dialog.getByRole("button", { name: "Keep the change" }).click();
  await saved(page);
  const after = (await stored(demo, pad)).plan;
  expect(after.fittings.map((f: { key: string }) => f.key)).toEqual(["two"]);
  expect(after.progress).toEqual({ done: ["step.role:cut-outer"] });
  await open(page, `${demo.url}/plans/${pad}/sew`);
  await expect(page.getByRole("listitem").filter({ hasText: "Sew the pocket on the top" })).not.toContainText("done");
  await page.keyboard.press("Control+z");
  await expect
    .poll(async () => (await stored(demo, pad)).plan.progress?.done, "undone, it is sewn on")
    .toContain("step.of:one.role:fit");
});

test("what is pressed as soon as anything is shown is done", async ({ apart, demo }) => {
  const pad = "story-mat-seat-pad";
  const { plan, revision } = await stored(demo, pad);
  const kept = await fetch(`${demo.url}/api/v1/plans/${pad}`, {
    method: "PUT",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ base: revision, plan: { ...plan, title: "Another pad" }, label: "renamed" }),
  });
  expect(kept.status).toBe(200);
  await apart.addInitScript(() => {
    const seen = new MutationObserver(() => {
      if (!document.querySelector("main li")) return;
      seen.disconnect();
      document.body.dispatchEvent(
        new KeyboardEvent("keydown", { key: "z", code: "KeyZ", ctrlKey: true, bubbles: true }),
      );
    });
    seen.observe(document, { childList: true, subtree: true });
  });
  await open(apart, `${demo.url}/plans/${pad}/sew`);
  await expect.poll(async () => (await stored(demo, pad)).plan.title).toBe(plan.title);
});

test("what went wrong is noted where it happened, with what helps", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/sew`);
  await page.getByRole("button", { name: "Sew front and back together" }).click();
  await page.getByRole("button", { name: "Something went wrong" }).click();
  const form = page.getByRole("form", { name: "Something went wrong" });
  await expect(form.getByRole("button", { name: "Note it" })).toBeDisabled();
  await form.getByLabel("What went wrong").selectOption("The seam missed a layer");
  await expect(form).toContainText("sew again a thread or two inside the first line");
  await form.getByLabel("How much, where").fill("lower left");
  await accessible(form);
  await form.getByRole("button", { name: "Note it" }).click();
  await expect(page.getByRole("list", { name: "What went wrong here" })).toContainText("lower left");
  await saved(page);
  expect((await stored(demo, reading)).plan.progress.troubles).toEqual([
    { step: "step.role:close", kind: "caught-missed", note: "lower left" },
  ]);
  await page.getByRole("button", { name: /^Remove it/ }).click();
  await expect(page.getByRole("list", { name: "What went wrong here" })).toHaveCount(0);
});

test("several covers: where each of them is, and labels for the piles", async ({ page, demo }) => {
  const plan = "story-mat-seat-pad";
  await open(page, `${demo.url}/plans/${plan}/sew`);
  await expect(page.getByText(/^2 at “/)).toBeVisible();
  await page.getByRole("button", { name: "One more" }).click();
  await expect(page.getByText("1 are through")).toBeVisible();
  await expect(page.getByText(/^1 at “.*1 at “/)).toBeVisible();
  await page.getByRole("button", { name: "One more" }).click();
  await expect(page.getByText(/^2 at “/)).toBeVisible();
  await saved(page);
  expect((await stored(demo, plan)).plan.progress.done.length).toBeGreaterThan(0);
  await accessible(page);
  // One after the other: done brings this cover on, not all of them.
  await page.getByRole("button", { name: "Sew one cover after the other" }).click();
  const heading = page.locator("h1");
  const next = page.getByRole("button", { name: "Done, next step" });
  for (let i = 0; i < 20 && !(await page.getByText(/of cover 1 of 2$/).isVisible()); i++) {
    const before = await heading.textContent();
    await next.click();
    await expect(heading).not.toHaveText(before ?? "");
    await saved(page);
  }
  const title = await heading.textContent();
  await next.click();
  await expect(heading).not.toHaveText(title ?? "");
  await saved(page);
  expect(Object.values((await stored(demo, plan)).plan.progress.made)).toContain(1);
  await page.getByRole("link", { name: "Labels for the piles" }).click();
  await expect(page.getByRole("heading", { name: "Labels for the piles" })).toBeVisible();
  const { reckoning } = await stored(demo, plan);
  await expect(page.locator(".labels > li")).toHaveCount(reckoning.cuts.length);
  await accessible(page);
});

test("when there is time: evenings, a lost one, and the calendar read by others", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${hood}/sew`);
  await page.getByRole("link", { name: "Sewing days" }).click();
  await page.getByLabel("From", { exact: true }).fill("2099-06-01");
  await page.getByLabel("It must be ready on").fill("2099-06-02");
  await expect(page.getByText(/late\.$/)).toBeVisible();
  await page.getByRole("textbox", { name: "Monday" }).fill("600");
  await page.getByRole("textbox", { name: "Monday" }).press("Enter");
  await expect(page.getByText("In time.")).toBeVisible();
  await accessible(page);
  await saved(page);
  await page.getByRole("button", { name: /^No time that day ?: Monday,? 1 June$/ }).click();
  await expect(page.getByText(/late\.$/)).toBeVisible();
  await saved(page);
  const link = await page.getByRole("link", { name: "Calendar file" }).getAttribute("href");
  const text = await (await fetch(`${demo.url}${link}`)).text();
  const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((e) => new ICAL.Event(e));
  const days = await page.locator(".days time").evaluateAll((all) => all.map((t) => t.getAttribute("datetime")));
  expect(events.map((e) => e.startDate.toString())).toEqual([...days, "2099-06-02"]);
  expect(events.every((e) => e.startDate.isDate)).toBe(true);
  expect(events[0]?.description).toContain(" min");
  await page.getByRole("button", { name: /^there is after all ?: Monday,? 1 June$/ }).click();
  await expect(page.getByText("In time.")).toBeVisible();
});

test("the log: photos, a search, two side by side, and a pace that is offered", async ({ page, demo }) => {
  const { plan, revision, reckoning } = await stored(demo, hood);
  const times = Object.fromEntries(
    reckoning.steps.slice(0, 6).map((s: { id: string; minutes: number }) => [s.id, 2 * s.minutes]),
  );
  const send = (method: string, path: string, body: unknown) =>
    fetch(`${demo.url}/api/v1${path}`, {
      method,
      headers: { "content-type": "application/json" },
      body: JSON.stringify(body),
    });
  const progress = { times, troubles: [{ step: "step.role:try", kind: "tight", note: "at the knob" }] };
  await send("PUT", `/plans/${hood}`, { base: revision, plan: { ...plan, progress }, label: "sewn" });
  await send("POST", `/plans/${hood}/finish`, {
    base: revision + 1,
    minutes: 90,
    notes: "It turned out snug.",
    next: "",
  });
  await open(page, `${demo.url}/log`);
  const pace = page.getByText(/49 timed steps took/); // six of the hood, the others of two cushions
  await expect(pace).toBeVisible();
  const [, own] = /took ([\d.]+) times what is usual/.exec((await pace.textContent()) ?? "") ?? [];
  expect(Number(own)).toBeGreaterThan(1.13); // as the cushions alone
  expect(Number(own)).toBeLessThan(2); // as the hood alone
  await expect(page.getByText("the insert does not go in, or strains (1)")).toBeVisible();
  await page.getByLabel("Photo of Turntable hood, listening corner").setInputFiles({
    name: "hood.png",
    mimeType: "image/png",
    buffer: await page.screenshot(),
  });
  await expect(page.getByRole("img", { name: "Turntable hood, listening corner, 1" })).toBeVisible();
  await accessible(page.locator(".log-entry").first());
  const both = page.getByRole("checkbox", { name: "side by side with another" });
  await both.nth(0).check();
  await both.nth(1).check();
  const beside = page.getByRole("region", { name: "Two covers side by side" });
  await expect(beside.getByRole("row", { name: /^Time \d/ })).toContainText("1 h 30 min");
  await accessible(beside);
  await page.getByLabel("Look for", { exact: true }).fill("knob tight");
  await expect(page.locator(".log-entry")).toHaveCount(1);
  await page.getByLabel("Look for", { exact: true }).fill("");
  await page.getByLabel("Which").selectOption("hoods");
  await expect(page.locator(".log-entry")).toHaveCount(1);
  await page.getByLabel("Which").selectOption("those with which something went wrong");
  await expect(page.locator(".log-entry")).toHaveCount(3);
  await page.getByLabel("Which").selectOption("cushions");
  await expect(page.locator(".log-entry")).toHaveCount(3);
  await page.getByLabel("Look for", { exact: true }).fill("velvet");
  await expect(page.getByText("No finished cover among cushions says “velvet”.")).toBeVisible();
  await page.getByLabel("Which").selectOption("all covers");
  await expect(page.getByText("No finished cover says “velvet”.")).toBeVisible();
  await page.getByLabel("Look for", { exact: true }).fill("");
  await page.getByRole("button", { name: "Take that as my pace" }).click();
  await expect(page.getByRole("button", { name: "Take that as my pace" })).toHaveCount(0);
  const after = await stored(demo, "label-printer-hood");
  const { settled } = after.reckoning;
  expect(settled.habits.pace).toBe(Number(own));
  await page.getByRole("button", { name: /^Remove/ }).click();
  await expect(page.getByRole("img", { name: "Turntable hood, listening corner, 1" })).toHaveCount(0);
});

test("practice: a wrong answer says what was forgotten, a right one counts", async ({ page, demo }) => {
  await open(page, `${demo.url}/habits`);
  await page.getByRole("link", { name: "Practice" }).click();
  await expect(page.getByRole("heading", { name: "Practice" })).toBeVisible();
  await accessible(page);
  const answer = page.getByLabel("Your answer");
  await answer.fill("some");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("alert")).toBeVisible();
  await answer.fill("1/8");
  await page.keyboard.press("Enter");
  const sum = page.getByRole("list", { name: "How it comes about" }).getByRole("listitem");
  await expect(sum).toHaveCount(3);
  await expect(page.getByText("0 of 1 right, 0 in a row")).toBeVisible();
  await page.getByRole("button", { name: "The next one" }).click();
  const question = (await page.locator(".exercise .large").first().textContent()) ?? "";
  expect(question).toMatch(/^A patch finishes/);
  await page.getByRole("button", { name: "Eighths on the tape" }).click();
  await expect(page.getByRole("img", { name: "A tape with a mark on it" })).toBeVisible();
  await accessible(page);
  await page.getByLabel("On the sizes of one of your plans:").selectOption("Reading-corner cushion");
  await expect(page.getByText(/of Reading-corner cushion:/)).toBeVisible();
});

test("one cover, from its first step to the log, with all that happens on the way", async ({ page, demo }) => {
  takes(40); // twenty-two steps
  const { reckoning } = await stored(demo, reading);
  await open(page, `${demo.url}/plans/${reading}/sew`);
  const heading = page.getByRole("heading", { level: 1 });
  const next = page.getByRole("button", { name: "Done, next step" });
  const dialog = page.getByRole("dialog");
  const steps = page.getByRole("list", { name: "Steps" }).getByRole("button");
  const to = async (title: string) => {
    while ((await heading.textContent()) !== title) {
      const before = await heading.textContent();
      await next.click();
      await expect(heading).not.toHaveText(before ?? "");
    }
  };

  // The clock runs over the first step, and ends with it.
  await expect(heading).toHaveText("Measure the insert");
  await page.getByRole("button", { name: "Start the timer" }).click();
  await next.click();
  await expect(heading).toHaveText("Cut the front");
  await page.getByLabel("Minutes Cut the front took").fill("18");
  await page.getByLabel("Minutes Cut the front took").press("Enter");

  // A row is measured, and one is sewn again.
  await to("Sew row 1");
  await expect(page.getByText("Set it up so.")).toBeVisible();
  await put(page, "Measured across", "16 7/16");
  await to("Sew row 3");
  await expect(page.getByText("As it is set up.")).toBeVisible();
  await steps.filter({ hasText: "Sew row 2" }).click();
  await page.getByRole("button", { name: "Do it again" }).click();
  await dialog.getByLabel("The reason").fill("a patch turned");
  await dialog.getByRole("button", { name: "Do it again" }).click();
  await expect(page.getByRole("list", { name: "What went wrong here" })).toContainText("a patch turned");
  await next.click();

  // Quilting in two evenings, then trimmed to what the four sides say.
  await to("Quilt");
  await expect(page.getByText(/Set it up/)).toHaveCount(0); // as for the layers
  await page.getByRole("button", { name: "Divide it" }).click();
  await dialog.getByRole("button", { name: "Divide it" }).click();
  await expect(heading).toHaveText("Quilt: first half");
  await to("Trim square");
  for (const [side, size] of [
    ["Upper side", "20 5/16"],
    ["Right side", "20 1/4"],
    ["Lower side", "20 5/16"],
    ["Left side", "20 1/4"],
    ["Falling diagonal", "28 11/16"],
    ["Rising diagonal", "28 11/16"],
  ] as const) {
    await put(page, side, size);
  }
  await expect(page.getByRole("img", { name: /the four cuts/ })).toBeVisible();

  // A slip of the tape is asked about once; what is so is taken.
  await to("Measure the front");
  await put(page, "Measured across", "9 3/8");
  await put(page, "Measured up", "19 1/2");
  await expect(page.locator('[data-code="measured-slip"]')).toBeVisible();
  await page.getByRole("button", { name: "I measured twice: it is so" }).click();
  await expect(page.locator('[data-code="measured-slip"]')).toHaveCount(0);
  await put(page, "Measured across", "19 3/8");
  await expect(page.getByRole("list", { name: "Remedies" })).toBeVisible();
  await saved(page);
  await accessible(page.locator(".gate"));

  // One step is left out, and what is wrong with another noted.
  await to("Finish the seams");
  await expect(page.getByText("Its wrong side is seen: left and right change places.")).toBeVisible();
  await page.getByRole("button", { name: "Leave it out" }).click();
  await dialog.getByLabel("The reason").fill("a trial cover");
  await dialog.getByRole("button", { name: "Leave it out" }).click();
  await expect(heading).toHaveText("Clip the corners");
  await page.getByRole("button", { name: "Something went wrong" }).click();
  await page.getByLabel("What went wrong").selectOption("The stitching was clipped into");
  await page.getByRole("button", { name: "Note it" }).click();
  await to("Measure the finished cover and put the insert in");
  await put(page, "Measured across", "18 7/8");
  await put(page, "Measured up", "19");
  await next.click();

  // Looked over, and into the log with a photo.
  await expect(heading).toHaveText("All steps are done");
  const { progress: all } = (await stored(demo, reading)).plan;
  expect(Object.keys(all.cut)).toHaveLength(reckoning.cuts.length); // what a step cuts is ticked off with it
  const left = page.getByRole("region", { name: "What is left over" });
  await left.getByRole("listitem").filter({ hasText: "ink leaf" }).getByRole("button").click();
  await expect(left).toContainText("What was left over is back in the cupboard.");
  await saved(page);
  for (const box of await page.getByRole("group", { name: "Final check" }).getByRole("checkbox").all())
    await box.check();
  await expect(page.getByLabel("Minutes of work")).toHaveValue(/^1[89]$/);
  await page.getByLabel("Minutes of work").fill("190");
  await page.getByLabel("Notes", { exact: true }).fill("The batting takes more than the estimate.");
  const photo = page.getByLabel("Photo of the finished cover");
  await photo.setInputFiles({ name: "text.png", mimeType: "image/png", buffer: Buffer.from("no picture") });
  await expect(page.getByRole("alert")).toBeVisible();
  await photo.setInputFiles({ name: "cover.png", mimeType: "image/png", buffer: await page.screenshot() });
  await expect(page.getByRole("img", { name: "The finished cover, 1" })).toBeVisible();
  await saved(page);
  await accessible(page);
  await page.getByRole("button", { name: "Write it into the log" }).click();
  await expect(page).toHaveURL(/log$/);
  const entry = page.locator(".log-entry").filter({ hasText: "Reading-corner cushion" });
  await expect(entry).toContainText("measured 193/8″ × 191/2″");
  await expect(entry).toContainText("after 3 h 10 min, estimated were");
  await expect(entry).toContainText("with the time it took");
  await expect(page.getByRole("img", { name: "Reading-corner cushion, 1" })).toBeVisible(); // taken when it was looked over
  await page
    .getByLabel("Photo of Reading-corner cushion")
    .setInputFiles({ name: "cover.png", mimeType: "image/png", buffer: await page.screenshot() });
  await expect(page.getByRole("img", { name: "Reading-corner cushion, 2" })).toBeVisible();
  const progress = (await stored(demo, reading)).plan.progress;
  expect(progress.done).toHaveLength(reckoning.steps.length);
  expect(progress.troubles.map((t: { kind: string }) => t.kind)).toEqual(["again", "clipped"]);
  expect(Object.keys(progress.times)).toEqual(
    expect.arrayContaining(["step.role:measure", "step.piece:front.role:cut-outer"]),
  );

  // What three of them tell is offered to the samples, and one more is planned.
  await page.getByRole("link", { name: "Samples" }).click();
  await expect(page.getByText("3 finished covers were quilted the same way")).toBeVisible();
  await accessible(page);
  await page.getByRole("button", { name: "Keep that as a sample" }).click();
  await expect(page.getByRole("button", { name: "Keep that as a sample" })).toHaveCount(0);
  await page.getByRole("link", { name: "Log", exact: true }).click();
  await entry.getByRole("button", { name: "Plan one like it" }).click();
  await expect(page.getByRole("textbox", { name: "Title of the plan" })).toHaveValue("Reading-corner cushion, again");
});

test("the steps by keyboard alone", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${hood}/sew`);
  const heading = page.locator("h1"); // also behind a dialog
  const first = await heading.textContent();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog")).toContainText("done, next step");
  await page.keyboard.press("d");
  await expect(heading, "nothing is done under a dialog").toHaveText(first ?? "");
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await page.keyboard.press("j");
  await expect(heading).not.toHaveText(first ?? "");
  await page.keyboard.press("k");
  await page.keyboard.press("t");
  await expect(page.getByRole("timer")).toBeVisible();
  await page.keyboard.press("t");
  await expect(page.getByRole("timer")).toHaveCount(0);
  await page.keyboard.press("d");
  await expect(heading).not.toHaveText(first ?? "");
  await saved(page);
  expect((await stored(demo, hood)).plan.progress.done).toHaveLength(1);
});

test("how one plan is sewn changes its steps, and no other plan’s", async ({ page, demo }) => {
  await open(page, `${demo.url}/plans/${reading}/sew`);
  await page.getByRole("link", { name: "Habits for this cover" }).click();
  await page.getByRole("radio", { name: /temporary spray/ }).check();
  await saved(page);
  await page.getByRole("link", { name: "Back to its steps" }).click();
  await page.getByRole("button", { name: "Layer the front" }).click();
  await expect(page.getByText(/Spray the lining thinly/)).toBeVisible();
  await expect(page.getByText(/Temporary spray only with a window open/)).toBeVisible();
  expect((await stored(demo, reading)).plan.habits.hold).toBe("spray");
  await open(page, `${demo.url}/plans/pinwheel-cushion-for-the-reading-corner/sew`);
  await page.getByRole("button", { name: "Layer the front" }).click();
  await expect(page.getByText(/pin every 4″/)).toBeVisible();
  await open(page, `${demo.url}/habits`);
  await expect(page.getByRole("radio", { name: /pins all over/ })).toBeChecked();
});
