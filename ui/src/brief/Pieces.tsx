import { usePlan } from "../plan/context";
import { put } from "../plan/path";
import { Choice } from "./Choice";
import { useLetters } from "./sentences";

/** The names under which a plan decides its pieces, with how they are read. */
export function useConfigs(): { name: string; title: string; count: number }[] {
  const { drawn } = usePlan();
  const seen = new Map<string, { name: string; title: string; count: number }>();
  for (const piece of drawn.pieces) {
    const config = seen.get(piece.config);
    if (config) {
      config.count += piece.count;
      config.title = piece.config; // front flap and back flap are both flaps
    } else seen.set(piece.config, { name: piece.config, title: piece.title.toLowerCase(), count: piece.count });
  }
  return [...seen.values()];
}

/** What each piece of a shell is cut from. */
export function Pieces() {
  const { value, rework } = usePlan();
  const letters = useLetters();
  const configs = useConfigs();
  const cloth = (name: string) => String(value(`/pieces/${name}/face/cloth`) ?? value("/pieces/*/face/cloth") ?? letters[0]?.value ?? "A");
  const kind = (name: string) => String(value(`/pieces/${name}/face/kind`) ?? value("/pieces/*/face/kind") ?? "plain");
  return (
    <p>
      {configs.map(({ name, title, count }, i) => (
        <span key={name}>
          {i === 0 ? "" : i === configs.length - 1 ? " and " : ", "}
          {count === 1 ? `${i === 0 ? "The" : "the"} ${title}` : `${count} × ${title}`} of{" "}
          {kind(name) !== "plain" ? (
            "patches"
          ) : (
            <Choice
              label={`Cloth of the ${title}`}
              value={cloth(name)}
              options={letters}
              choose={(next) => rework((plan) => put(plan, `/pieces/${name}/face`, { kind: "plain", cloth: next }), `${title} of ${next}`)}
            />
          )}
        </span>
      ))}
      .
    </p>
  );
}
