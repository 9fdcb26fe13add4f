import { act, cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { SayProvider } from "../shell/Say";
import { useCooling } from "./cooling";

function Fused() {
  const cool = useCooling();
  return (
    <button type="button" onClick={() => cool("Cut the shapes", 10)}>
      done
    </button>
  );
}

describe("what was fused", () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: new Date(2026, 10, 27, 19, 0) });
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  it("cools until a time that is told, and when it has is told too", () => {
    render(
      <SayProvider>
        <Fused />
      </SayProvider>,
    );
    fireEvent.click(screen.getByText("done"));
    expect(screen.getByRole("status").textContent).toContain("Cut the shapes: let it cool flat until 19:10.");
    act(() => void vi.advanceTimersByTime(9 * 60_000));
    expect(screen.queryByText(/has cooled/)).toBeNull();
    act(() => void vi.advanceTimersByTime(60_000));
    expect(screen.getByRole("status").textContent).toContain("Cut the shapes: it has cooled");
  });
});
