import type { Finding } from "../api/api.gen";
import { usePlan } from "../plan/context";
import { get, within } from "../plan/path";
import { FaceProvider } from "./face/context";
import { Face } from "./face/Face";
import { Findings } from "./Thread";

/** The names under which a plan decides its pieces, with how they are read: also where it cannot be cut. */
export function useConfigs(): { name: string; title: string; count: number }[] {
  const { reckoning } = usePlan();
  const seen = new Map<string, { name: string; title: string; count: number }>();
  for (const piece of reckoning.slots) {
    const config = seen.get(piece.config);
    if (config) {
      config.count += piece.count;
      config.title = piece.config; // front flap and back flap are both flaps
    } else seen.set(piece.config, { name: piece.config, title: piece.title.toLowerCase(), count: piece.count });
  }
  return [...seen.values()];
}

/** Whether a finding is about what a piece is made of: it stands there. */
export const ofPiece = (finding: Finding, config: string) => within(finding.about, `/pieces/${config}/face`);

/** What each piece of a shell is cut from. */
export function Pieces() {
  const { plan, reckoning } = usePlan();
  const configs = useConfigs();
  const shared = get(plan, "/pieces/*/face") !== undefined;
  return (
    <ul className="piece-faces">
      {configs.map(({ name, title, count }) => (
        <li key={name}>
          <span className="soft">{count === 1 ? `The ${title}` : `${count} × ${title}`}</span>
          <FaceProvider
            value={{
              config: name,
              title,
              base:
                get(plan, `/pieces/${name}/face`) === undefined && shared ? "/pieces/*/face" : `/pieces/${name}/face`,
              inner: "",
            }}
          >
            <Face />
          </FaceProvider>
          <Findings of={reckoning.findings.filter((f) => ofPiece(f, name))} />
        </li>
      ))}
    </ul>
  );
}
