import { useSay } from "../shell/Say";

const clock = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });

/** Tells until when something that was fused cools flat, and when it has. */
export function useCooling() {
  const say = useSay();
  return (title: string, minutes: number) => {
    const until = new Date(Date.now() + minutes * 60_000);
    say(`${title}: let it cool flat until ${clock.format(until)}.`);
    setTimeout(() => say(`${title}: it has cooled, and may be moved.`), minutes * 60_000);
  };
}
