import { createContext, type ReactNode, useCallback, useContext, useState } from "react";
import { refusalAt } from "../api/refusal";
import { useSession } from "../plan/context";
import { T } from "../words/T";

/** Takes a decision of the brief: a choice with the key of what is chosen, or something that is pressed. False where it is refused. */
export type Take = (id: string, key: string, label: string) => Promise<boolean>;

const Taking = createContext<Take>(() => Promise.resolve(false));
export const useTake = () => useContext(Taking);

/** Lets decisions be taken within, and says below what speaks against one. */
export function Takes({ children }: { children: ReactNode }) {
  const session = useSession();
  const [refused, refuse] = useState<string | null>(null);
  const take: Take = useCallback(
    (id, key, label) =>
      session.choose(id, key, label).then(
        () => {
          refuse(null);
          return true;
        },
        (error) => {
          refuse(refusalAt(error).text);
          return false;
        },
      ),
    [session],
  );
  return (
    <Taking value={take}>
      {children}
      {refused && (
        <div role="alert" className="finding stop">
          <T>{refused}</T>
        </div>
      )}
    </Taking>
  );
}
