import { Component, type ComponentType, type ElementType, lazy, type ReactNode, useState } from "react";

/** Shown in the stead of a place that cannot be shown, with the way out. */
function Unshown({ title, why }: { title: string; why: string }) {
  return (
    <div className="page">
      <h1>{title}</h1>
      <p className="large" role="alert">
        {why} What you typed is kept.{" "}
        <button type="button" className="word-button" onClick={() => window.location.reload()}>
          Read the page again
        </button>
      </p>
    </div>
  );
}

/** The script of a place did not come: the server is away, or another version of it is there now. */
const Unread = () => <Unshown title="Not read" why="This place could not be read." />;

/**
 * A place whose script is asked for when one goes there; load may be called before. What is there already is shown at
 * once: nothing stands in for it meanwhile.
 */
export function place<K extends string>(load: () => Promise<Record<K, ComponentType>>, name: K) {
  let there: ComponentType | undefined;
  const loaded = () =>
    load().then((module) => {
      there = module[name];
      return { default: module[name] };
    });
  const Later = lazy(() => loaded().catch(() => ({ default: Unread })));
  const now = (): ElementType => there ?? Later;
  return Object.assign(() => <Chosen at={now} />, { load: loaded });
}

/** What it is as it comes up, it stays. */
function Chosen({ at }: { at: () => ElementType }) {
  const [At] = useState(at);
  return <At />;
}

/** A part of the frame whose script is asked for when it is shown; told where it does not come. */
export const later = <P,>(load: () => Promise<ComponentType<P>>) =>
  lazy(() =>
    load().then(
      (part) => ({ default: part }),
      () => ({ default: Unread as ComponentType<P> }),
    ),
  );

/** Keeps a mistake in one place from taking the whole page with it; another place, at another address, is tried anew. */
export class Mistakes extends Component<{ at: string; children: ReactNode }, { at: string | null }> {
  override state = { at: null };

  static getDerivedStateFromError = () => ({ at: "" });

  static getDerivedStateFromProps(props: { at: string }, state: { at: string | null }) {
    if (state.at === "") return { at: props.at }; // it was made here
    return state.at !== null && state.at !== props.at ? { at: null } : null;
  }

  override render() {
    if (this.state.at === null) return this.props.children;
    return <Unshown title="The app made a mistake" why="This place cannot be shown as it stands." />;
  }
}
