import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { DevicesView, JobView, SendJob, SetDevice } from "../api/api.gen";
import { ask, sentence } from "../api/client";

const key = ["devices"];

/** How often is looked how far a job is, in milliseconds. */
const every = 300;

export const running = (job: JobView) => job.state === "working" || job.state === "jammed";

/** What stands by the workshop. */
export function useDevices() {
  return useQuery({
    queryKey: key,
    queryFn: () => ask<DevicesView>("GET", "/devices"),
    refetchInterval: (query) => (query.state.data?.jobs.some(running) ? every : false),
  });
}

/** Does something with the devices and shows them as they are then; what went wrong is said. */
export function useDoing() {
  const client = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
  const act = async (what: () => Promise<unknown>) => {
    try {
      setProblem(null);
      await what();
    } catch (error) {
      setProblem(sentence(error));
    }
    await client.invalidateQueries({ queryKey: key });
  };
  return {
    problem,
    set: (id: string, change: SetDevice) => act(() => ask("PUT", `/devices/${id}`, change)),
    press: (id: string, size: string) => act(() => ask("POST", `/devices/${id}/press`, { size })),
    send: (plan: string, job: SendJob) => act(() => ask("POST", `/plans/${plan}/send`, job)),
    resume: (job: number) => act(() => ask("POST", `/jobs/${job}/resume`, {})),
    cancel: (job: number) => act(() => ask("DELETE", `/jobs/${job}`)),
    again: () => void act(async () => undefined),
    heard: (number: number) => client.setQueryData<DevicesView>(key, (now) => now && { ...now, last: number }),
  };
}
