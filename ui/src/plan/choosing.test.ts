import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import type { PlanView } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";
import { Session } from "./session";

interface Asked {
  url: string;
  body: { base: number; plan: Plan; id?: string; key?: string };
}

const view = (revision: number, plan: Plan) =>
  ({
    id: "p",
    revision,
    plan,
    reckoning: { pieces: [{}], findings: [] },
    brief: { stages: [] },
    can_undo: revision > 1,
  }) as unknown as PlanView;
const plan = (title: string, copies = 1) => ({ title, copies }) as Plan;
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { "content-type": "application/json" } });

/** A server that saves what it is sent, and answers decisions as it is told; every request is noted. */
function serving(decide: (asked: Asked) => Response | Promise<Response>) {
  const asked: Asked[] = [];
  vi.stubGlobal("fetch", async (url: string, init: RequestInit) => {
    const one: Asked = { url, body: JSON.parse(String(init.body)) };
    asked.push(one);
    return url.endsWith("/choose") ? decide(one) : json(view(one.body.base + 1, one.body.plan ?? plan("one")));
  });
  return asked;
}
const replaces = (path: string, value: unknown) => json({ patch: [{ op: "replace", path, value }] });
const saved = (s: Session) => vi.waitFor(() => expect(s.current().saving).toBe("saved"));

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

describe("a decision of the brief", () => {
  test("is taken by the server and kept as one change", async () => {
    const asked = serving(() => replaces("/title", "two"));
    const s = new Session(view(1, plan("one")));
    await s.choose("/title", "b", "Title: two");
    await saved(s);
    expect(asked[0]?.body).toMatchObject({ id: "/title", key: "b", plan: plan("one") });
    expect(s.current().plan).toEqual(plan("two"));
    expect(asked).toHaveLength(2);
  });

  test("leaves what was changed meanwhile", async () => {
    let answer: (r: Response) => void = () => undefined;
    const asked = serving(() => new Promise((then) => (answer = then)));
    const s = new Session(view(1, plan("one")));
    const taken = s.choose("/title", "b", "");
    await vi.waitFor(() => expect(asked).toHaveLength(1));
    s.change(plan("one", 3), "three of them");
    await vi.waitFor(() => {
      answer(replaces("/title", "two"));
      expect(s.current().plan.copies).toBe(3);
    });
    await taken;
    await saved(s);
    expect(s.current().plan).toEqual(plan("two", 3));
  });

  test("waits for a server that is away, and is taken when it is back", async () => {
    let away = true;
    const asked = serving(() => {
      if (away) throw new TypeError("no network");
      return replaces("/title", "two");
    });
    const s = new Session(view(1, plan("one")), { retryAfter: 5 });
    const taken = s.choose("/title", "b", "Title: two");
    await vi.waitFor(() => expect(asked.length).toBeGreaterThan(2));
    expect(s.current().saving).toBe("away");
    away = false;
    await taken;
    await saved(s);
    expect(s.current().plan).toEqual(plan("two"));
  });

  test("that waits for the server is let go with its plan", async () => {
    const asked = serving(() => {
      throw new TypeError("no network");
    });
    const s = new Session(view(1, plan("one")), { retryAfter: 5 });
    const taken = s.choose("/title", "b", "Title: two");
    await vi.waitFor(() => expect(asked.length).toBeGreaterThan(0));
    s.close();
    await expect(taken).rejects.toThrow("does not answer");
  });

  test("stands on the one before", async () => {
    const asked = serving(({ body }) => replaces("/title", `${body.plan.title}${body.key}`));
    const s = new Session(view(1, plan("one")));
    await Promise.all([s.choose("/title", "b", ""), s.choose("/title", "c", "")]);
    await saved(s);
    expect(s.current().plan.title).toBe("onebc");
    expect(asked.filter((a) => a.url.endsWith("/choose")).map((a) => a.body.plan.title)).toEqual(["one", "oneb"]);
  });

  test("is not saved while it is on its way, and what is undone meanwhile is itself", async () => {
    let answer: (r: Response) => void = () => undefined;
    const asked = serving(() => new Promise((then) => (answer = then)));
    const s = new Session(view(1, plan("one")));
    const taken = s.choose("/title", "b", "");
    expect(s.current().saving).toBe("saving");
    const undone = s.step("undo");
    await vi.waitFor(() => {
      answer(replaces("/title", "two"));
      expect(asked.length).toBeGreaterThan(1);
    });
    await Promise.all([taken, undone]);
    expect(asked.map((a) => a.url.replace(/.*\//, ""))).toEqual(["choose", "p", "undo"]);
    expect(asked.at(-1)?.body.base).toBe(2);
    expect(s.current().saving).toBe("saved");
  });

  test("that is taken after an undo is not what is undone", async () => {
    const asked = serving(({ body }) => replaces("/title", `${body.plan.title}${body.key}`));
    const s = new Session(view(1, plan("one")));
    await Promise.all([s.choose("/title", "b", ""), s.step("undo"), s.choose("/title", "c", "")]);
    await saved(s);
    expect(asked.map((a) => a.url.replace(/.*\//, ""))).toEqual(["choose", "p", "undo", "choose", "p"]);
    expect(s.current().plan.title).toBe("onec");
  });

  test("that is refused changes nothing, and does not keep the next one from being taken", async () => {
    let refuse = true;
    serving(() => (refuse ? json({ detail: "not so", errors: [] }, 400) : replaces("/title", "two")));
    const s = new Session(view(1, plan("one")));
    await expect(s.choose("/title", "b", "")).rejects.toThrow();
    expect(s.current().saving).toBe("saved");
    expect(s.current().plan.title).toBe("one");
    refuse = false;
    await s.choose("/title", "b", "");
    expect(s.current().plan.title).toBe("two");
  });
});

describe("a value that something has to follow", () => {
  const three = (p: Plan) => ({ ...p, copies: 3 });

  test("is kept with what follows", async () => {
    const asked = serving(() => replaces("/title", "three of them"));
    const s = new Session(view(1, plan("one")));
    await s.follow(three, "/copies", "");
    await saved(s);
    expect(asked[0]?.body.plan).toEqual(plan("one", 3));
    expect(s.current().plan).toEqual(plan("three of them", 3));
  });

  test("is kept by itself where that cannot be told", async () => {
    serving(() => Promise.reject(new TypeError("no answer")));
    const s = new Session(view(1, plan("one")));
    await s.follow(three, "/copies", "");
    await saved(s);
    expect(s.current().plan).toEqual(plan("one", 3));
  });
});
