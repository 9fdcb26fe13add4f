import { type QueryClient, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type {
  BeginPlan,
  ClothView,
  FiguresView,
  HabitsView,
  LogView,
  NotionView,
  OfferView,
  PlanView,
  PracticeView,
  SampleUses,
  SampleView,
  ScheduleView,
  ShelfItem,
  ShoppingView,
  SoldView,
  StartsView,
  TogetherView,
  UnitsView,
} from "./api.gen";
import { ask } from "./client";
import { Making } from "./once";
import type { Plan } from "./plan.gen";

export const keys = {
  shelf: ["shelf"],
  cloths: ["cloths"],
  habits: ["habits"],
  log: ["log"],
  samples: ["samples"],
  plan: (id: string) => ["plan", id],
};

/** The shelf; asked again while some of it is still being worked out. */
export const useShelf = () =>
  useQuery({
    queryKey: keys.shelf,
    queryFn: () => ask<ShelfItem[]>("GET", "/plans"),
    refetchInterval: ({ state }) => (state.data?.some((item) => item.coming) ? 1000 : false),
  });
export const useCloths = () => useQuery({ queryKey: keys.cloths, queryFn: () => ask<ClothView[]>("GET", "/cloths") });
/** What to buy for plans; for all of the shelf where none is named. */
export const useShopping = (plans: string[]) =>
  useQuery({
    queryKey: ["shopping", ...plans],
    queryFn: () => ask<ShoppingView>("GET", `/shopping?${new URLSearchParams(plans.map((id) => ["plan", id]))}`),
    placeholderData: (before) => before,
  });
/** Plans on one lay of a cloth; all that take of it where none is named. */
export const useTogether = (cloth: string, plans: string[]) =>
  useQuery({
    queryKey: ["together", cloth, ...plans],
    queryFn: () =>
      ask<TogetherView>(
        "GET",
        `/together?${new URLSearchParams([["cloth", cloth], ...plans.map((id) => ["plan", id])])}`,
      ),
    placeholderData: (before) => before,
  });
/** What a plan takes of a fabric in other widths, as it stands at a revision; asked for when it is looked at. */
export const useSold = (id: string, letter: string, revision: number, looked: boolean) =>
  useQuery({
    queryKey: ["sold", id, letter, revision],
    queryFn: () => ask<SoldView[]>("GET", `/plans/${id}/cloths/${letter}/sold`),
    enabled: looked,
    placeholderData: (before) => before,
  });
/** When what is done of a plan, as it stands at a revision. */
export const useSchedule = (id: string, revision: number) =>
  useQuery({
    queryKey: ["schedule", id, revision],
    queryFn: () => ask<ScheduleView>("GET", `/plans/${id}/schedule`),
    placeholderData: (before) => before,
  });
/** An exercise: made up, or on the sizes of a plan. */
export const usePractice = (kind: string, number: number, plan: string) =>
  useQuery({
    queryKey: ["practice", kind, number, plan],
    queryFn: () =>
      ask<PracticeView>(
        "GET",
        `/practice?${new URLSearchParams({ kind, number: String(number), ...(plan && { plan }) })}`,
      ),
  });
export const useNotions = () =>
  useQuery({ queryKey: ["notions"], queryFn: () => ask<NotionView[]>("GET", "/notions") });
export const useUnits = () => useQuery({ queryKey: ["units"], queryFn: () => ask<UnitsView[]>("GET", "/units") });
export const useHabits = () => useQuery({ queryKey: keys.habits, queryFn: () => ask<HabitsView>("GET", "/habits") });
export const useSamples = () =>
  useQuery({ queryKey: keys.samples, queryFn: () => ask<SampleView[]>("GET", "/samples") });
/** The plans that samples are used in or could be, by their ids. */
export const useSampleUses = () =>
  useQuery({ queryKey: [...keys.samples, "uses"], queryFn: () => ask<SampleUses>("GET", "/samples/uses") });
/** Samples that finished covers have sewn unasked. */
export const useOffers = () =>
  useQuery({ queryKey: [...keys.samples, "offers"], queryFn: () => ask<OfferView[]>("GET", "/samples/offers") });
/** What the finished covers tell. */
export const useFigures = () =>
  useQuery({ queryKey: ["figures"], queryFn: () => ask<FiguresView>("GET", "/log/figures") });
export const useLog = () => useQuery({ queryKey: keys.log, queryFn: () => ask<LogView[]>("GET", "/log") });

/** What plans and decisions begin with in a unit: asked for once. */
export const startsQuery = (units: string) => ({
  queryKey: ["starts", units],
  queryFn: () => ask<StartsView>("GET", `/starts?units=${units}`),
  staleTime: Number.POSITIVE_INFINITY,
});
export const useStarts = (units: string) => useQuery(startsQuery(units));

/** The plan a thing begins with. */
export const beginPlan = (begin: BeginPlan) => ask<Plan>("POST", "/begin", begin);

/**
 * Reads everything again that is shown. What is being read for the first time was asked for before
 * the change: its answer may not know of it, and is not waited for.
 */
export async function readAgain(client: QueryClient) {
  await client.cancelQueries({
    predicate: ({ state }) => state.data === undefined && state.fetchStatus === "fetching",
  });
  await client.invalidateQueries();
}

/** A change of the workshop; whatever is listed anywhere is read again after it. */
export function useChange<V, R>(change: (value: V) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => readAgain(client) });
}

/** A change that makes something new at a place: tried again because its answer was lost, it is the same one. */
export function useMake<V, R>(place: string, body: (value: V) => unknown) {
  const [making] = useState(() => new Making());
  return useChange((value: V) => making.make<R>(place, body(value)));
}

/** Puts a plan, or the text of its file, on the shelf. */
export const useNewPlan = () =>
  useMake<Plan | string, PlanView>("/plans", (plan) => (typeof plan === "string" ? `{"plan":${plan}}` : { plan }));

/**
 * Saves changes of one thing one after the other, each laid over what the one before it
 * left: what is decided faster than it is saved is kept all the same.
 */
export function useInTurn<Known, Part, Answer>(of: {
  /** What is known of it, and the name under which its changes queue. */
  key: readonly string[];
  scope: string;
  send: (now: Known, part: Part) => Promise<Answer>;
  /** What is known when the server has answered. */
  kept: (now: Known, answer: Answer) => Known;
}) {
  const client = useQueryClient();
  return useMutation({
    scope: { id: of.scope },
    mutationFn: (part: Part) => {
      const now = client.getQueryData<Known>(of.key);
      if (!now) throw new Error("It is not read yet. Try again in a moment.");
      return of.send(now, part);
    },
    onSuccess: (answer) => {
      client.setQueryData<Known>(of.key, (now) => now && of.kept(now, answer));
      return readAgain(client);
    },
  });
}
