import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import type { PlanView, Reckoning } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";
import { Session } from "./session";
import { keepUnsaved, unsavedOf } from "./unsaved";

const reckoning = (title: string): Reckoning =>
  ({ title, settled: { title }, pieces: [{}], findings: [], sums: {}, cuts: [], steps: [] }) as unknown as Reckoning;

const view = (revision: number, title: string): PlanView =>
  ({
    id: "p",
    revision,
    plan: { title },
    reckoning: reckoning(title),
    can_undo: revision > 1,
    can_redo: false,
    changed: "",
  }) as unknown as PlanView;

const plan = (title: string) => ({ title }) as Plan;

/** A server that answers as it is told, one answer a request. */
function answering(
  ...answers: ((body: { base: number; title: string; plan: { title: string } }) => Response | Promise<Response>)[]
) {
  const asked: string[] = [];
  vi.stubGlobal("fetch", async (url: string, init: RequestInit) => {
    asked.push(`${init.method} ${url}`);
    const answer = answers.shift();
    if (!answer) throw new Error(`nothing more was expected: ${url}`);
    const told = await answer(init.body ? JSON.parse(String(init.body)) : {});
    init.signal?.throwIfAborted();
    return told;
  });
  return asked;
}

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { "content-type": "application/json" } });
const down = () => Promise.reject(new TypeError("no answer"));
const settledSession = (s: Session) => vi.waitFor(() => expect(s.current().saving).toBe("saved"));

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

describe("a session", () => {
  test("shows a change at once and saves it on the revision it has", async () => {
    answering((body) => json(view(body.base + 1, body.plan.title)));
    const s = new Session(view(1, "one"));
    s.change(plan("two"), "");
    expect(s.current().plan.title).toBe("two");
    expect(s.current().saving).toBe("saving");
    expect(unsavedOf("p")).toMatchObject({ base: 1, plan: { title: "two" } });
    await settledSession(s);
    expect(s.current().revision).toBe(2);
    expect(unsavedOf("p")).toBeNull();
  });

  test("saves changes made meanwhile after each other, on the newest revision", async () => {
    const bases: number[] = [];
    const save = (body: { base: number; plan: { title: string } }) => {
      bases.push(body.base);
      return json(view(body.base + 1, body.plan.title));
    };
    answering(save, save);
    const s = new Session(view(1, "one"));
    s.change(plan("two"), "");
    s.change(plan("three"), "");
    s.change(plan("four"), "");
    await settledSession(s);
    expect(bases).toEqual([1, 2]);
    expect(s.current().plan.title).toBe("four");
  });

  test("keeps a change while the server is away and saves it when it is back", async () => {
    answering(down, down, (body) => json(view(body.base + 1, body.plan.title)));
    const s = new Session(view(1, "one"), { retryAfter: 1 });
    const kept: (string | undefined)[] = [];
    s.subscribe(() => s.current().saving === "waiting" && kept.push(unsavedOf("p")?.plan.title));
    s.change(plan("two"), "");
    await settledSession(s);
    expect(kept).toEqual(["two", "two"]);
    expect(s.current().revision).toBe(2);
    expect(unsavedOf("p")).toBeNull();
  });

  test("takes up what was kept on the device", async () => {
    keepUnsaved("p", { base: 1, plan: plan("kept") });
    answering((body) => json(view(body.base + 1, body.plan.title)));
    const s = new Session(view(1, "one"));
    s.resume(unsavedOf("p"));
    await settledSession(s);
    expect(s.current().plan.title).toBe("kept");
  });

  test("a save whose answer was lost is known by its id, also to the one after it and after a reload", async () => {
    type Sent = { base: number; plan: { title: string }; save: string; sent: string[] };
    const saves: Sent[] = [];
    const lost = (body: unknown) => {
      saves.push(body as Sent);
      return down();
    };
    answering(lost, lost);
    const s = new Session(view(1, "one"), { retryAfter: 60_000 });
    s.change(plan("two"), "");
    await vi.waitFor(() => expect(s.current().saving).toBe("waiting"));
    s.change(plan("three"), "");
    await vi.waitFor(() => expect(saves).toHaveLength(2));
    await vi.waitFor(() => expect(s.current().saving).toBe("waiting"));
    s.close();
    expect(saves.map((one) => one.base)).toEqual([1, 1]);
    expect(saves[1]?.sent).toEqual([saves[0]?.save]);
    answering((body) => {
      saves.push(body as unknown as Sent);
      return json(view(4, "three"));
    });
    const later = new Session(view(3, "three, as it was kept"));
    later.resume(unsavedOf("p"));
    await settledSession(later);
    expect(saves[2]?.base).toBe(1);
    expect(saves[2]?.sent).toEqual([saves[0]?.save, saves[1]?.save]);
    expect(later.current().conflict).toBeNull();
    expect(unsavedOf("p")).toBeNull();
  });

  test.each([
    { title: "The disk is full", detail: "Make room on it.", type: "not-kept", status: 507 },
    { title: "Nobody is let in", detail: "Type the access key again.", type: "unauthorized", status: 401 },
    { title: "Too many requests", detail: "Wait a moment.", type: "about:blank", status: 429 },
  ])("says why nothing can be kept, and no more once it is: $status", async (why) => {
    answering(
      () => json(why, why.status),
      (body) => json(view(body.base + 1, body.plan.title)),
    );
    const s = new Session(view(1, "one"), { retryAfter: 20 });
    const told: [string | null, string | undefined][] = [];
    s.subscribe(() => told.push([s.current().refusal, unsavedOf("p")?.plan.title]));
    s.change(plan("two"), "");
    await vi.waitFor(() => expect(s.current().revision).toBe(2));
    expect(told).toContainEqual([`${why.title}. ${why.detail}`, "two"]);
    expect(s.current().refusal).toBeNull();
  });

  test("sends what was kept on its own revision: the server joins it with what is newer, or asks", async () => {
    const sent: unknown[] = [];
    answering((body) => {
      sent.push([body.base, body.plan.title]);
      return json({ title: "", detail: "", type: "stale", status: 409, current: view(5, "theirs") }, 409);
    });
    const s = new Session(view(5, "theirs"));
    s.resume({ base: 1, plan: plan("mine") });
    await vi.waitFor(() => expect(s.current().conflict?.plan).toEqual({ title: "theirs" }));
    expect(sent).toEqual([[1, "mine"]]);
    expect(s.current().plan.title).toBe("mine");
  });

  test("asks nothing where both say the same: the answer of a save was lost, and the save was not", async () => {
    const s = new Session(view(5, "one"));
    answering(() => json({ title: "", detail: "", type: "stale", status: 409, current: view(6, "two") }, 409));
    s.change(plan("two"), "");
    await settledSession(s);
    expect(s.current().conflict).toBeNull();
    expect(s.current().revision).toBe(6);
    expect(unsavedOf("p")).toBeNull();
  });

  test.each(["mine", "theirs"] as const)("ends a conflict with %s", async (keep) => {
    const asked: unknown[] = [];
    answering(
      () => json({ title: "", detail: "", type: "stale", status: 409, current: view(7, "theirs") }, 409),
      (body) => {
        const { base, prefer } = body as { base: number; prefer?: string };
        asked.push(base, prefer);
        return json(view(8, keep));
      },
    );
    const s = new Session(view(1, "one"));
    s.change(plan("mine"), "");
    await vi.waitFor(() => expect(s.current().conflict).not.toBeNull());
    void s.resolve(keep);
    await settledSession(s);
    expect(asked).toEqual([1, keep]);
    expect(s.current().plan.title).toBe(keep);
    expect(s.current().revision).toBe(8);
  });

  test.each(["back", "stays", "again"] as const)("asks about a change that spoils what is done: %s", async (how) => {
    const spoils = [
      { kind: "cut", ref: "cut.a", again: true, why: "too-small", title: "", text: "", width: {}, height: {} },
    ];
    const chosen: unknown[] = [];
    answering(
      () => json({ title: "", detail: "", type: "spoils", status: 409, spoils }, 409),
      (body) => {
        chosen.push((body as { spoils?: string }).spoils);
        return how === "back"
          ? json(view(1, "one"))
          : json({ ...view(2, "two"), plan: { title: "two", progress: { done: ["left"] } } });
      },
    );
    const s = new Session(view(1, "one"));
    s.change({ ...plan("two"), progress: { done: ["left", "gone"] } }, "");
    await vi.waitFor(() => expect(s.current().spoils).toHaveLength(1));
    expect(unsavedOf("p")?.plan.title, "nothing is lost while it is asked").toBe("two");
    s.change(plan("three"), "");
    expect(s.current().plan.title, "nothing else is changed meanwhile").toBe("two");
    s.settleSpoils(how);
    await settledSession(s);
    expect(s.current().spoils).toBeNull();
    expect(s.current().plan.title).toBe(how === "back" ? "one" : "two");
    expect(chosen).toEqual([how === "back" ? undefined : how]);
    expect(s.current().plan.progress?.done, "what the server makes of the record").toEqual(
      how === "back" ? undefined : ["left"],
    );
    expect(unsavedOf("p")).toBeNull();
  });

  test("what the server makes of the record goes into what was changed meanwhile", async () => {
    let answer = (_: Response) => {};
    const saved: unknown[] = [];
    answering(
      () =>
        new Promise<Response>((resolve) => {
          answer = resolve;
        }),
      (body) => {
        saved.push((body.plan as Plan).progress?.done);
        return json(view(body.base + 1, body.plan.title));
      },
    );
    const s = new Session(view(1, "one"));
    const progress = { done: ["left", "gone"] };
    s.change({ ...plan("two"), progress }, "");
    s.change({ ...plan("three"), progress }, "");
    answer(json({ ...view(2, "two"), plan: { title: "two", progress: { done: ["left"] } } }));
    await settledSession(s);
    expect(saved).toEqual([["left"]]);
    expect(s.current().plan.title).toBe("three");
  });

  test("a revision is restored when it is said what becomes of what that spoils", async () => {
    const spoils = [{ kind: "step", ref: "step.a", why: "gone", title: "", text: "", width: {}, height: {} }];
    const asked: unknown[] = [];
    const refuse = (body: unknown) => {
      asked.push(body);
      return json({ title: "", detail: "", type: "spoils", status: 409, spoils }, 409);
    };
    answering(refuse, refuse, (body) => {
      asked.push(body);
      return json(view(5, "older"));
    });
    const s = new Session(view(4, "four"));
    await s.restore(2);
    expect(s.current().spoils).toHaveLength(1);
    s.settleSpoils("back");
    expect(s.current().spoils).toBeNull();
    expect(s.current().plan.title).toBe("four");
    await s.restore(2);
    s.settleSpoils("again");
    await vi.waitFor(() => expect(s.current().plan.title).toBe("older"));
    expect(asked.at(-1)).toMatchObject({ base: 4, revision: 2, spoils: "again", sent: [] });
  });

  test("asks about the newest change, and loses none made while the one before was judged", async () => {
    const spoils = [
      { kind: "cut", ref: "cut.a", again: true, why: "too-small", title: "", text: "", width: {}, height: {} },
    ];
    const asked: string[] = [];
    const refuse = (body: { plan: { title: string } }) => {
      asked.push(body.plan.title);
      return json({ title: "", detail: "", type: "spoils", status: 409, spoils }, 409);
    };
    answering(refuse, refuse, (body) => json(view(body.base + 1, body.plan.title)));
    const s = new Session(view(1, "one"));
    s.change(plan("two"), "");
    s.change(plan("three"), "");
    await vi.waitFor(() => expect(s.current().spoils).toHaveLength(1));
    expect(asked).toEqual(["two", "three"]);
    s.settleSpoils("stays");
    await settledSession(s);
    expect(s.current().plan.title).toBe("three");
  });

  test("takes a change back that the server cannot read, and says why", async () => {
    answering(
      () => json({ title: "", detail: "unknown key", type: "unreadable", status: 400 }, 400),
      () => json(view(1, "one")),
    );
    const s = new Session(view(1, "one"));
    s.change(plan("two"), "");
    await vi.waitFor(() => expect(s.current().plan.title).toBe("one"));
    expect(s.current().refusal).toBe("unknown key");
  });

  test("undoes only after what is pending is saved", async () => {
    const asked = answering(
      (body) => json(view(body.base + 1, body.plan.title)),
      () => json(view(3, "one")),
    );
    const s = new Session(view(1, "one"));
    s.change(plan("two"), "");
    await s.step("undo");
    expect(asked).toEqual(["PUT /api/v1/plans/p", "POST /api/v1/plans/p/undo"]);
    expect(s.current().plan.title).toBe("one");
  });

  test("undoes step by step however fast it is pressed", async () => {
    const bases: number[] = [];
    const back = (body: { base: number }) => {
      bases.push(body.base);
      return json(view(body.base + 1, `back to ${body.base}`));
    };
    answering(back, back, back);
    const s = new Session(view(4, "four"));
    await Promise.all([s.step("undo"), s.step("undo"), s.step("undo")]);
    expect(bases).toEqual([4, 5, 6]);
    expect(s.current().conflict).toBeNull();
    expect(s.current().plan.title).toBe("back to 6");
  });

  test("an undo whose answer was lost is the same when it is pressed again, and no change of another window", async () => {
    type Sent = { base: number; save: string; sent: string[] };
    const sent: Sent[] = [];
    const told = (answer: (body: { base: number; plan: { title: string } }) => Response | Promise<Response>) => {
      return (body: { base: number; plan: { title: string } }) => {
        sent.push(body as unknown as Sent);
        return answer(body);
      };
    };
    answering(
      told(down),
      told(() => json(view(5, "three"))),
      told(() => json(view(6, "two"))),
      told(down),
      told((body) => json(view(8, body.plan.title))),
    );
    const s = new Session(view(4, "four"), { retryAfter: 60_000 });
    await s.step("undo");
    expect(s.current().refusal).toContain("does not answer");
    await s.step("undo");
    expect(s.current().plan.title).toBe("three");
    expect(s.current().refusal, "it answers again").toBeNull();
    await s.step("undo");
    await s.step("undo");
    s.change(plan("typed"), "");
    await settledSession(s);
    const ids = sent.map((one) => one.save);
    expect(sent.map((one) => [one.base, ids.indexOf(one.save), one.sent.map((id) => ids.indexOf(id))])).toEqual([
      [4, 0, []],
      [4, 0, [0]],
      [5, 2, []],
      [6, 3, []],
      [6, 4, [3]],
    ]);
    expect(s.current().plan.title).toBe("typed");
    expect(s.current().conflict).toBeNull();
  });

  test("keeps what is changed while an undo is on its way, and saves it on what came of it", async () => {
    let answer = (_: Response) => {};
    const saved: { base: number; title: string }[] = [];
    const asked = answering(
      () =>
        new Promise<Response>((resolve) => {
          answer = resolve;
        }),
      (body) => {
        saved.push({ base: body.base, title: body.plan.title });
        return json(view(body.base + 1, body.plan.title));
      },
    );
    const s = new Session(view(4, "four"));
    const undone = s.step("undo");
    await vi.waitFor(() => expect(asked).toEqual(["POST /api/v1/plans/p/undo"]));
    s.change(plan("typed"), "");
    answer(json(view(5, "three")));
    await undone;
    await settledSession(s);
    expect(saved).toEqual([{ base: 5, title: "typed" }]);
    expect(s.current().plan.title).toBe("typed");
    expect(s.current().revision).toBe(6);
  });

  test("undoes nothing of another window, and shows what that one changed", async () => {
    const theirs = () => json({ title: "", detail: "", type: "stale", status: 409, current: view(7, "theirs") }, 409);
    const asked = answering(theirs, (body) => json(view(body.base + 1, "before theirs")));
    const s = new Session(view(4, "four"));
    await s.step("undo");
    expect(s.current()).toMatchObject({ plan: { title: "theirs" }, revision: 7, conflict: null });
    expect(s.current().refusal).toContain("nothing was undone");
    await s.step("undo");
    expect(s.current()).toMatchObject({ plan: { title: "before theirs" }, revision: 8, refusal: null });
    expect(asked).toHaveLength(2);
  });

  test("restores an older revision, and says when it cannot", async () => {
    const asked = answering(
      (body) => json(view(body.base + 1, "older")),
      () => json({ title: "", detail: "there is no such revision", type: "not-found", status: 404 }, 404),
    );
    const s = new Session(view(4, "four"));
    await s.restore(2);
    expect(s.current().plan.title).toBe("older");
    await s.restore(99);
    expect(s.current().refusal).toBe("there is no such revision");
    expect(s.current().plan.title).toBe("older");
    expect(asked).toEqual(["POST /api/v1/plans/p/restore", "POST /api/v1/plans/p/restore"]);
  });

  test("asks for no undo where there is none", async () => {
    const asked = answering();
    await new Session(view(1, "one")).step("undo");
    expect(asked).toEqual([]);
  });

  test("shows what is being typed without keeping it", async () => {
    answering(() => json(reckoning("typed")));
    const s = new Session(view(1, "one"));
    expect(await s.preview(plan("typed"))).toBeNull();
    expect(s.current().reckoning.title).toBe("typed");
    expect(s.current().plan.title).toBe("one");
    expect(s.current().settled).toEqual({ title: "one" });
  });

  test("what is kept and told stays the same while something is typed", async () => {
    answering(() => json(reckoning("typed")));
    const s = new Session(view(1, "one"));
    const [kept, told] = [s.kept(), s.told()];
    await s.preview(plan("typed"));
    expect(s.kept()).toBe(kept);
    expect(s.told()).toBe(told);
  });

  test("what is typed beside the sheet leaves steps and layouts as they were", async () => {
    const whole = view(1, "one");
    const [steps, cloths] = [[{ id: "step.role:measure" }], [{ cloth: "A" }]];
    const left = 40; // and what else is told of the steps
    const pressed = [{ name: "front", press: [{ side: "left" }] }];
    Object.assign(whole.reckoning, { steps, cloths, left, pieces: pressed });
    const pieces = ["front", "back"].map((name) => ({ name, press: [] }));
    const none = () => json({ ...reckoning("typed"), steps: [], cloths: [], left: 0, pieces });
    const asked = answering(none, none);
    const s = new Session(whole);
    await s.preview(plan("typed"), { sheet: true });
    expect(s.current().reckoning).toMatchObject({
      title: "typed",
      steps,
      cloths,
      left,
      pieces: [...pressed, pieces[1]],
    });
    s.leaveSheet(); // layouts are never beside cuts they were not made of
    expect(s.current().reckoning).toMatchObject({ title: "one", steps, cloths, left });
    await s.preview(plan("typed"));
    expect(s.current().reckoning).toMatchObject({ steps: [], cloths: [], left: 0 });
    s.leaveSheet();
    expect(s.current().reckoning).toMatchObject({ title: "typed", steps: [], cloths: [] });
    expect(asked.map((url) => url.includes("sheet=1"))).toEqual([true, false]);
  });

  test("beside the sheet the sums that are shown are asked for, and one that is shown then at once", async () => {
    const term = [{ term: "patch" }];
    const told = (...names: string[]) => {
      const sums = Object.fromEntries(names.map((name) => [name, term]));
      return () => json({ ...reckoning("typed"), sums });
    };
    const asked = answering(told("front.width"), told("front.width", "back.width"), told("back.width"));
    const s = new Session(view(1, "one"));
    const hide = [s.showing("front.width"), s.showing("front.width")];
    await s.preview(plan("typed"), { typed: "/cover/ease", sheet: true });
    const back = s.showing("back.width");
    await vi.waitFor(() => expect(Object.keys(s.current().reckoning.sums)).toEqual(["front.width", "back.width"]));
    for (const call of hide) call();
    await s.preview(plan("typed"), { sheet: true });
    expect(s.current().reckoning.sums).toEqual({ "back.width": term });
    back();
    s.leaveSheet();
    s.showing("front.height"); // nothing is asked: all of it is told
    expect(asked.map((url) => new URL(url, "http://localhost").searchParams.getAll("sum"))).toEqual([
      ["front.width"],
      ["front.width", "back.width"],
      ["back.width"],
    ]);
    expect(new URL(asked[1] ?? "", "http://localhost").searchParams.get("typed")).toBe("/cover/ease");
  });

  test("a sum that is shown while what is typed cannot be read is of what stands there", async () => {
    const unread = () => json({ title: "", detail: "It cannot be read.", type: "about:blank", status: 422 }, 422);
    const sums = { "front.width": [] };
    const asked = answering(
      () => json(reckoning("typed")),
      unread,
      (body) => json({ ...reckoning(body.title), sums }),
      () => json(reckoning("typed")),
      () => Promise.reject(new TypeError("no answer")),
    );
    const s = new Session(view(1, "one"));
    await s.preview(plan("typed"), { sheet: true });
    const judged = s.preview(plan("unread"), { sheet: true, meant: true });
    s.showing("front.width");
    expect((await judged)?.problem.status).toBe(422);
    await vi.waitFor(() => expect(s.current().reckoning).toMatchObject({ title: "typed", sums }));
    await s.preview(plan("typed"), { sheet: true });
    s.showing("back.width"); // not again where there is no answer
    s.showing("back.height");
    await vi.waitFor(() => expect(asked).toHaveLength(5));
    expect(s.current().reckoning.title).toBe("typed");
  });

  test("what is meant is judged also where something else is typed meanwhile", async () => {
    let judge: (answer: Response) => void = () => {};
    const asked = answering(
      () => new Promise((resolve) => (judge = resolve)),
      () => json(reckoning("typed after")),
    );
    const s = new Session(view(1, "one"));
    const first = s.preview(plan("meant"), { meant: true });
    await s.preview(plan("typed after"));
    judge(json({ title: "", detail: "It cannot be read.", type: "about:blank", status: 422 }, 422));
    expect((await first)?.problem.detail).toBe("It cannot be read.");
    expect(s.current().reckoning.title).toBe("typed after");
    expect(asked).toHaveLength(2);
  });

  test("a stop on the way to what is being typed is not shown", async () => {
    answering(() => json({ ...reckoning("1"), pieces: [] }));
    const s = new Session(view(1, "one"));
    expect(await s.preview(plan("1"))).toBeNull();
    expect(s.current().reckoning.title).toBe("one");
  });

  test("says what is wrong with what is being typed and keeps the drawing", async () => {
    answering(() =>
      json(
        {
          title: "",
          detail: "no length",
          type: "unreadable",
          status: 400,
          errors: [{ path: "/x", text: "no length" }],
        },
        400,
      ),
    );
    const s = new Session(view(1, "one"));
    expect((await s.preview(plan("typed")))?.problem.detail).toBe("no length");
    expect(s.current().drawn.title).toBe("one");
  });
});
