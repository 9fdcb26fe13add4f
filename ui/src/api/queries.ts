import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import type { BeginPlan, ClothView, HabitsView, LogView, PlanView, SampleView, ShelfItem, ShoppingView, StartsView } from "./api.gen";
import { ask } from "./client";
import type { Plan } from "./plan.gen";

export const keys = {
  shelf: ["shelf"],
  cloths: ["cloths"],
  habits: ["habits"],
  log: ["log"],
  samples: ["samples"],
  plan: (id: string) => ["plan", id],
};

export const useShelf = () => useQuery({ queryKey: keys.shelf, queryFn: () => ask<ShelfItem[]>("GET", "/plans") });
export const useCloths = () => useQuery({ queryKey: keys.cloths, queryFn: () => ask<ClothView[]>("GET", "/cloths") });
/** What to buy for plans; for all of the shelf where none is named. */
export const useShopping = (plans: string[]) =>
  useQuery({
    queryKey: ["shopping", ...plans],
    queryFn: () => ask<ShoppingView>("GET", `/shopping?${new URLSearchParams(plans.map((id) => ["plan", id]))}`),
    placeholderData: (before) => before,
  });
export const useHabits = () => useQuery({ queryKey: keys.habits, queryFn: () => ask<HabitsView>("GET", "/habits") });
export const useSamples = () => useQuery({ queryKey: keys.samples, queryFn: () => ask<SampleView[]>("GET", "/samples") });
export const useLog = () => useQuery({ queryKey: keys.log, queryFn: () => ask<LogView[]>("GET", "/log") });

/** What plans and decisions begin with in a unit. */
export const useStarts = (units: string) =>
  useQuery({
    queryKey: ["starts", units],
    queryFn: () => ask<StartsView>("GET", `/starts?units=${units}`),
    staleTime: Number.POSITIVE_INFINITY,
  });

/** The plan a thing begins with. */
export const beginPlan = (begin: BeginPlan) => ask<Plan>("POST", "/begin", begin);

/** A change of the workshop; whatever is listed anywhere is read again after it. */
export function useChange<V, R>(change: (value: V) => Promise<R>) {
  const client = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => client.invalidateQueries() });
}

export const createPlan = (plan: Plan | string) =>
  ask<PlanView>("POST", "/plans", typeof plan === "string" ? `{"plan":${plan}}` : { plan });
