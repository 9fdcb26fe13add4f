import { usePlan } from "../plan/context";

/** The letters of the plan's cloths with their names, as options. */
export function useLetters() {
  const { value } = usePlan();
  const cloths = (value("/cloths") ?? {}) as Record<string, { name?: string }>;
  return Object.entries(cloths).map(([letter, cloth]) => ({ value: letter, name: cloth.name || letter }));
}
