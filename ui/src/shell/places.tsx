import { type ComponentType, lazy } from "react";

/** Shown in the stead of a place whose script did not come: the server is away, or another version of it is there now. */
function Unread() {
  return (
    <div className="page">
      <h1>Not read</h1>
      <p className="large" role="alert">
        This place could not be read. What you typed is kept.{" "}
        <button type="button" className="word-button" onClick={() => window.location.reload()}>
          Read the page again
        </button>
      </p>
    </div>
  );
}

/** A place whose script is asked for when one goes there; load may be called before. */
export function place<K extends string>(load: () => Promise<Record<K, ComponentType>>, name: K) {
  const there = () =>
    load().then(
      (module) => ({ default: module[name] }),
      () => ({ default: Unread }),
    );
  return Object.assign(lazy(there), { load });
}
