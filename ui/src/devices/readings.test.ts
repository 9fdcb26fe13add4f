import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { ReadingView } from "../api/api.gen";
import { atHand, gone, onward, target } from "./active";
import { entered } from "./readings";

const reading = (more: Partial<ReadingView> = {}): ReadingView => ({
  number: 1,
  device: "tape",
  name: "Bending tape",
  kind: "tape",
  text: "41.3 cm",
  says: "",
  ...more,
});

const fields: HTMLInputElement[] = [];
function field(
  label: string,
  reads: "length" | "weight",
  takes: boolean,
): { input: HTMLInputElement; taken: string[] } {
  const input = document.createElement("input");
  input.dataset.reads = reads;
  fields.push(input);
  const taken: string[] = [];
  const take = async (text: string) => {
    if (takes) taken.push(text);
    return takes;
  };
  input.addEventListener("focus", () => atHand({ reads, label, take, input }));
  return { input, taken };
}

beforeEach(() => {
  vi.spyOn(document, "hasFocus").mockReturnValue(true);
});

afterEach(() => {
  vi.restoreAllMocks();
  for (const input of fields.splice(0)) gone(input);
  document.body.replaceChildren();
});

describe("a reading", () => {
  it("goes nowhere while no value is at hand", async () => {
    const came = await entered(reading());
    expect(came.wrong).toBe(true);
    expect(came.says).toContain("Click the value it belongs to");
  });
  it("goes into the value at hand, and the next of several is at hand then", async () => {
    const group = document.createElement("div");
    group.dataset.measures = "";
    const [across, up] = [field("across", "length", true), field("up", "length", true)];
    group.append(across.input, up.input);
    document.body.append(group);
    across.input.focus();
    const came = await entered(reading());
    expect(came).toMatchObject({ says: "41.3 cm is entered for across.", wrong: false });
    expect(across.taken).toEqual(["41.3 cm"]);
    expect(document.activeElement).toBe(up.input);
    expect(target("length")?.label).toBe("up");
    onward(up.input); // the last of them
    expect(document.activeElement).toBe(up.input);
  });
  it("is left to the window in front", async () => {
    const one = field("across", "length", true);
    document.body.append(one.input);
    one.input.focus();
    vi.spyOn(document, "hasFocus").mockReturnValue(false);
    expect((await entered(reading())).says).toBe("41.3 cm came while another window was in front.");
    expect(one.taken).toEqual([]);
  });
  it("says what there is to say of it", async () => {
    const one = field("across", "length", true);
    document.body.append(one.input);
    one.input.focus();
    const came = await entered(reading({ says: "The battery of the tape is at 12%: change it soon." }));
    expect(came.says).toBe("41.3 cm is entered for across. The battery of the tape is at 12%: change it soon.");
    expect(came.wrong).toBe(true);
  });
  it("that the value refuses is told", async () => {
    const one = field("across", "length", false);
    document.body.append(one.input);
    one.input.focus();
    expect((await entered(reading())).says).toBe("41.3 cm cannot stand for across: see what is said there.");
  });
  it("that was refused, or a gauge that is gone, enters nothing", async () => {
    const one = field("across", "length", true);
    document.body.append(one.input);
    one.input.focus();
    for (const more of [{ refused: true }, { gone: true }]) {
      expect(await entered(reading({ ...more, text: "", says: "Measure again." }))).toMatchObject({
        says: "Measure again.",
        wrong: true,
      });
    }
    expect(one.taken).toEqual([]);
  });
  it("of a scale goes into a weight", async () => {
    const [long, heavy] = [field("across", "length", true), field("fibre", "weight", true)];
    document.body.append(long.input, heavy.input);
    heavy.input.focus();
    long.input.focus();
    expect((await entered(reading({ kind: "scale", text: "412" }))).says).toBe("412 g is entered for fibre.");
    expect(heavy.taken).toEqual(["412"]);
    expect(long.taken).toEqual([]);
    gone(heavy.input);
    expect(target("weight")).toBeUndefined();
    expect(target("length")?.label).toBe("across");
  });
});
