import { type Query, useIsFetching, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, Suspense, useEffect, useLayoutEffect, useState } from "react";
import { NavLink, useLocation, useNavigate } from "react-router";
import { tinykeys } from "tinykeys";
import { ask } from "../api/client";
import type { Plan } from "../api/plan.gen";
import { startsQuery } from "../api/queries";
import { Tray } from "../devices/Tray";
import { useOpenPlan } from "../plan/context";
import type { Saving } from "../plan/state";
import { quiet } from "./keys";
import { later, Mistakes } from "./places";
import type { Scheme } from "./tokens";

const dialogs = () => import("./dialogs");
const Conflict = later(() => dialogs().then((all) => all.Conflict));
const History = later(() => dialogs().then((all) => all.History));
const Shortcuts = later(() => dialogs().then((all) => all.Shortcuts));
const Spoils = later(() => dialogs().then((all) => all.Spoils));

/** Reads the dialogs before any is opened: then they are there without a server too. */
export const readDialogs = () => void dialogs().catch(() => undefined); // told where one is opened

interface Props {
  scheme: Scheme;
  setScheme: (scheme: Scheme) => void;
  children: ReactNode;
}

/** The head of every place: where one is, how the plan stands, and the way back. */
export function Shell({ scheme, setScheme, children }: Props) {
  const open = useOpenPlan();
  const [coming, setComing] = useState(false);
  const reading = useReading() || coming;
  const [help, setHelp] = useState(false);
  const [history, setHistory] = useState(false);
  const go = useNavigate();
  const { pathname } = useLocation();
  const base = open ? `/plans/${open.id}` : "";
  const session = open?.session;
  const client = useQueryClient();

  const switchUnits = async () => {
    if (!session) return;
    const now = session.current();
    const next = String((now.reckoning.settled as Plan | undefined)?.units ?? "in") === "in" ? "cm" : "in";
    // What the brief offers in the other unit is there before it is shown in it: nothing jumps.
    const [plan] = await Promise.all([
      ask<Plan>("POST", "/convert", { plan: now.plan, units: next }),
      client.prefetchQuery(startsQuery(next)),
    ]);
    session.change(plan, `shown in ${next}`);
  };

  // In place as soon as anything is shown: what is pressed at once is not lost.
  useLayoutEffect(() => {
    const always = (action: () => void) => (event: KeyboardEvent) => {
      event.preventDefault();
      action();
    };
    return tinykeys(
      window,
      {
        "$mod+z": always(() => void session?.step("undo")),
        "$mod+Shift+z": always(() => void session?.step("redo")),
        "$mod+y": always(() => void session?.step("redo")),
        "?": quiet(() => setHelp(true)),
        "Shift+?": quiet(() => setHelp(true)),
        "1": quiet(() => base && go(base)),
        "2": quiet(() => base && go(`${base}/cut`)),
        "3": quiet(() => base && go(`${base}/sew`)),
        s: quiet(() => go("/")),
        u: quiet(() => void switchUnits()),
        h: quiet(() => session && setHistory(true)),
      },
      // Where text is being typed, the browser's own undo goes first.
      { ignore: (event) => (event.target as HTMLElement).matches("textarea, .typing input, .open-text input") },
    );
  });

  return (
    <>
      <a className="skip" href="#place">
        Skip to the place
      </a>
      <header className="head">
        <NavLink to="/" className="brand" end aria-label="Umschlag, to the shelf">
          Umschl<span>a</span>g
        </NavLink>
        <nav aria-label="Places">
          <NavLink to="/" end>
            Shelf
          </NavLink>
          {open && (
            <>
              <NavLink to={base} end>
                Draft
              </NavLink>
              <NavLink to={`${base}/cut`}>Cut</NavLink>
              <NavLink to={`${base}/sew`}>Sew</NavLink>
            </>
          )}
          <NavLink to="/samples">Samples</NavLink>
          <NavLink to="/cloth">Cupboard</NavLink>
          <NavLink to="/log">Log</NavLink>
          <NavLink to="/habits">Habits</NavLink>
        </nav>
        <div className="head-tools">
          {open && (
            <>
              <SaveState saving={open.conflict ? "asked" : open.saving} at={open.savedAt} />
              <button
                type="button"
                disabled={!open.canUndo}
                onClick={() => void session?.step("undo")}
                aria-label="Undo"
                title="Undo (Ctrl+Z)"
              >
                ↶
              </button>
              <button
                type="button"
                disabled={!open.canRedo}
                onClick={() => void session?.step("redo")}
                aria-label="Redo"
                title="Redo (Ctrl+Shift+Z)"
              >
                ↷
              </button>
              <button type="button" onClick={() => setHistory(true)} title="History (H)">
                History
              </button>
              <UnitSwitch plan={open.settled as Plan | undefined} toggle={() => void switchUnits()} />
              <NavLink to={`${base}/print`} className="print-link">
                Print
              </NavLink>
              <ExportLink plan={open.plan} />
            </>
          )}
          <button
            type="button"
            onClick={() => setScheme(scheme === "light" ? "dark" : "light")}
            aria-label={scheme === "light" ? "Dark" : "Light"}
            title={scheme === "light" ? "Dark" : "Light"}
          >
            {scheme === "light" ? "☾" : "☀"}
          </button>
          <button type="button" onClick={() => setHelp(true)} aria-label="Keyboard" title="Keyboard (?)">
            ?
          </button>
        </div>
      </header>
      {open?.refusal && (
        <p className="finding stop refusal" role="alert">
          {open.refusal}{" "}
          <button type="button" className="word-button" onClick={() => session?.dismissRefusal()}>
            OK
          </button>
        </p>
      )}
      <main id="place" tabIndex={-1} aria-busy={reading}>
        <Mistakes at={pathname}>
          <Suspense fallback={<Coming tell={setComing} />}>{children}</Suspense>
        </Mistakes>
      </main>
      <Tray />
      <Suspense fallback={null}>
        {open?.conflict && (
          <Conflict
            mine={open.plan}
            brief={open.brief}
            theirs={open.conflict}
            resolve={(keep) => session?.resolve(keep)}
          />
        )}
        {open?.spoils && <Spoils of={open.spoils} settle={(how) => session?.settleSpoils(how)} />}
        {open && history && (
          <History
            id={open.id}
            revision={open.revision}
            restore={(n) => {
              void session?.restore(n);
              setHistory(false);
            }}
            close={() => setHistory(false)}
          />
        )}
        {help && (
          <Shortcuts
            close={() => setHelp(false)}
            inPlan={open !== null}
            inSew={open !== null && pathname === `${base}/sew`}
          />
        )}
      </Suspense>
    </>
  );
}

/** Stands where the script of a place is on its way, and says so to the frame. */
function Coming({ tell }: { tell: (coming: boolean) => void }) {
  useEffect(() => {
    tell(true);
    return () => tell(false);
  }, [tell]);
  return null;
}

/** Something of the place was not read yet; what is only read again does not count. */
const first = (query: Query) => query.state.data === undefined;

/** Whether the place still reads what it shows. */
function useReading(): boolean {
  const [begun, setBegun] = useState(false);
  // What the place asks for, it asks for when it comes up: before this effect of the frame around it.
  useEffect(() => setBegun(true), []);
  return useIsFetching({ predicate: first }) > 0 || !begun;
}

const clock = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });

function SaveState({ saving, at }: { saving: Saving | "asked"; at: Date | null }) {
  const text = {
    saved: at ? `saved ${clock.format(at)}` : "saved",
    saving: "saving…",
    waiting: "kept on this device; the server is away",
    away: "a decision waits; the server is away",
    asked: "changed in another window too",
  }[saving];
  return (
    <span className={`save-state ${saving}`} role="status">
      {text}
    </span>
  );
}

function UnitSwitch({ plan, toggle }: { plan: Plan | undefined; toggle: () => void }) {
  const unit = plan?.units ?? "in";
  return (
    <button type="button" className="unit-switch" onClick={toggle} title="Inches or centimetres (U)">
      <b className="sr-only">Shown in {unit === "in" ? "inches" : "centimetres"}; switch: </b>
      <span className={unit === "in" ? "on" : ""}>in</span>{" "}
      <span className={unit === "in" ? "" : "on"}>{unit === "mm" ? "mm" : "cm"}</span>
    </button>
  );
}

/** The plan as a file, made when it is asked for. */
function ExportLink({ plan }: { plan: Plan }) {
  const save = () => {
    const link = document.createElement("a");
    link.href = `data:application/json;charset=utf-8,${encodeURIComponent(`${JSON.stringify(plan, null, 2)}\n`)}`;
    link.download = `${plan.title.toLowerCase().replace(/[^a-z0-9]+/g, "-")}.json`;
    link.click();
  };
  return (
    <button type="button" onClick={save} title="Save the plan as a file">
      Plan file
    </button>
  );
}
