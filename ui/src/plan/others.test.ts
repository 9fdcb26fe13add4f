import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import type { PlanView } from "../api/api.gen";
import type { Plan } from "../api/plan.gen";
import { Session } from "./session";

type Doc = { title: string; copies?: number };
const view = (revision: number, plan: Doc): PlanView =>
  ({
    id: "p",
    revision,
    plan,
    reckoning: { settled: plan, pieces: [{}], findings: [], sums: {}, cuts: [], steps: [] },
    can_undo: true,
    can_redo: false,
    changed: "",
  }) as unknown as PlanView;

/** A server that is asked for what stands in its answers, and nothing else. */
function answering(answers: Record<string, (body: Record<string, unknown>) => unknown>) {
  const asked: string[] = [];
  vi.stubGlobal("fetch", async (url: string, init: RequestInit) => {
    const name = `${init.method} ${url.replace("/api/v1", "")}`;
    asked.push(name);
    const answer = answers[name];
    if (!answer) throw new Error(`nothing was expected of ${name}`);
    const body = await answer(init.body ? JSON.parse(String(init.body)) : {});
    return new Response(JSON.stringify(body), { headers: { "content-type": "application/json" } });
  });
  return asked;
}

beforeEach(() => localStorage.clear());
afterEach(() => vi.unstubAllGlobals());

describe("beside another window", () => {
  test("what that changed is shown with what was saved here", async () => {
    answering({ "PUT /plans/p": () => view(5, { title: "mine", copies: 3 }) });
    const s = new Session(view(3, { title: "one" }));
    s.change({ title: "mine" } as Plan, "");
    await vi.waitFor(() => expect(s.current().saving).toBe("saved"));
    expect(s.current().plan).toEqual({ title: "mine", copies: 3 });
    expect(s.current().revision).toBe(5);
  });

  test("what is changed here meanwhile is joined with it before it is saved", async () => {
    const saved: unknown[] = [];
    let release = () => {};
    const held = new Promise<void>((go) => {
      release = go;
    });
    answering({
      "PUT /plans/p": async ({ base, plan }) => {
        saved.push([base, plan]);
        if (saved.length === 1) await held;
        return saved.length === 1 ? view(5, { title: "mine", copies: 3 }) : view(6, plan as Doc);
      },
      "POST /join": ({ base, mine, theirs }) => {
        expect([base, mine, theirs]).toEqual([
          { title: "mine" },
          { title: "mine, longer" },
          { title: "mine", copies: 3 },
        ]);
        return { plan: { title: "mine, longer", copies: 3 }, apart: [] };
      },
    });
    const s = new Session(view(3, { title: "one" }));
    s.change({ title: "mine" } as Plan, "");
    s.change({ title: "mine, longer" } as Plan, "");
    release();
    await vi.waitFor(() => expect(s.current().revision).toBe(6));
    expect(saved).toEqual([
      [3, { title: "mine" }],
      [5, { title: "mine, longer", copies: 3 }],
    ]);
    expect(s.current().plan).toEqual({ title: "mine, longer", copies: 3 });
  });

  test("what both changed is asked about", async () => {
    answering({
      "PUT /plans/p": () => view(5, { title: "mine", copies: 3 }),
      "POST /join": () => ({ apart: ["/copies"] }),
    });
    const s = new Session(view(3, { title: "one" }));
    s.change({ title: "mine" } as Plan, "");
    s.change({ title: "mine", copies: 2 } as Plan, "");
    await vi.waitFor(() => expect(s.current().conflict?.plan).toEqual({ title: "mine", copies: 3 }));
    expect(s.current().plan).toEqual({ title: "mine", copies: 2 });
  });

  test("a newer revision is shown as soon as one hears of it, where nothing is on its way", async () => {
    const asked = answering({ "GET /plans/p": () => view(4, { title: "theirs" }) });
    const s = new Session(view(3, { title: "one" }));
    await s.hear(3);
    expect(asked).toEqual([]);
    await s.hear(4);
    expect(s.current().plan).toEqual({ title: "theirs" });
    await s.hear();
    expect(s.current().revision).toBe(4);
    s.close();
    await s.hear(9);
    expect(asked).toEqual(["GET /plans/p", "GET /plans/p"]);
  });
});
