import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { expect, test, vi } from "vitest";
import { readAgain } from "./queries";

test("what was asked for before a change is asked for again after it", async () => {
  const client = new QueryClient();
  const answers: ((list: string[]) => void)[] = [];
  const seen = vi.fn();
  const stop = new QueryObserver(client, {
    queryKey: ["samples"],
    queryFn: () => new Promise<string[]>((resolve) => answers.push(resolve)),
  }).subscribe(({ data }) => seen(data));
  expect(answers).toHaveLength(1); // under way, for the first time

  const read = readAgain(client);
  await vi.waitFor(() => expect(answers).toHaveLength(2));
  answers[0]?.(["as it was"]);
  answers[1]?.(["as it was", "added"]);
  await read;
  expect(client.getQueryData(["samples"])).toEqual(["as it was", "added"]);
  expect(seen).not.toHaveBeenCalledWith(["as it was"]);
  stop();
});
