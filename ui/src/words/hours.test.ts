import { expect, it } from "vitest";
import { hours } from "./hours";

it.each([
  [0, "0 minutes"],
  [59, "59 minutes"],
  [60, "1 h"],
  [95, "1 h 35 min"],
])("%i minutes are %s", (minutes, text) => expect(hours(minutes)).toBe(text));
