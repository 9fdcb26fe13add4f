import "@fontsource-variable/source-sans-3";
import "@fontsource-variable/source-serif-4";
import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import CssBaseline from "@mui/material/CssBaseline";
import GlobalStyles from "@mui/material/GlobalStyles";
import { ThemeProvider } from "@mui/material/styles";
import useMediaQuery from "@mui/material/useMediaQuery";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode, startTransition, useEffect, useMemo, useState } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter, Link, matchPath, Outlet, Route, Routes, useParams } from "react-router";
import "./app.css";
import first from "./first.json";
import { PlanProvider } from "./plan/context";
import { place } from "./shell/places";
import { SayProvider } from "./shell/Say";
import { readDialogs, Shell } from "./shell/Shell";
import { properties, themeOf } from "./shell/theme";
import type { Scheme } from "./shell/tokens";

// A script for each place: what is not looked at is not read.
const Become = place(() => import("./views/Become"), "Become");
const Cost = place(() => import("./views/Cost"), "Cost");
const Cupboard = place(() => import("./views/Cupboard"), "Cupboard");
const Cut = place(() => import("./views/Cut"), "Cut");
const Devices = place(() => import("./views/Devices"), "Devices");
const Draft = place(() => import("./views/Draft"), "Draft");
const Habits = place(() => import("./views/Habits"), "Habits");
const Labels = place(() => import("./views/Labels"), "Labels");
const Log = place(() => import("./views/Log"), "Log");
const PlanHabits = place(() => import("./views/PlanHabits"), "PlanHabits");
const Practice = place(() => import("./views/Practice"), "Practice");
const Print = place(() => import("./views/Print"), "Print");
const Samples = place(() => import("./views/Samples"), "Samples");
const Schedule = place(() => import("./views/Schedule"), "Schedule");
const Sew = place(() => import("./views/Sew"), "Sew");
const Shelf = place(() => import("./views/Shelf"), "Shelf");
const Shopping = place(() => import("./views/Shopping"), "Shopping");
const Table = place(() => import("./views/Table"), "Table");
const Together = place(() => import("./views/Together"), "Together");

// Styles made while the page runs carry the nonce the page was served with.
const nonce = document.querySelector<HTMLMetaElement>("meta[property=csp-nonce]")?.nonce;
const cache = createCache({ key: "u", nonce, prepend: true });
const client = new QueryClient({ defaultOptions: { queries: { staleTime: 5_000, retry: 1 } } });

function App() {
  const dark = useMediaQuery("(prefers-color-scheme: dark)", { noSsr: true });
  const [chosen, setChosen] = useState<Scheme | null>(null);
  const scheme = chosen ?? (dark ? "dark" : "light");
  const still = useMediaQuery("(prefers-reduced-motion: reduce)", { noSsr: true });
  const theme = useMemo(() => themeOf(scheme, still), [scheme, still]);
  const shell = { scheme, setScheme: setChosen };
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <GlobalStyles styles={{ ":root": { ...properties(scheme), colorScheme: scheme } }} />
      <SayProvider>
        <BrowserRouter>
          <Routes>
            <Route path="/plans/:id" element={<OpenPlan {...shell} />}>
              <Route index element={<Draft />} />
              <Route path="cut" element={<Cut />} />
              <Route path="cut/table" element={<Table />} />
              <Route path="cut/cost" element={<Cost />} />
              <Route path="sew" element={<Sew />} />
              <Route path="print" element={<Print />} />
              <Route path="sew/habits" element={<PlanHabits />} />
              <Route path="sew/schedule" element={<Schedule />} />
              <Route path="sew/labels" element={<Labels />} />
            </Route>
            <Route
              element={
                <Shell {...shell}>
                  <Outlet />
                </Shell>
              }
            >
              <Route index element={<Shelf />} />
              <Route path="samples" element={<Samples />} />
              <Route path="cloth" element={<Cupboard />} />
              <Route path="cloth/shopping" element={<Shopping />} />
              <Route path="cloth/together" element={<Together />} />
              <Route path="cloth/become" element={<Become />} />
              <Route path="log" element={<Log />} />
              <Route path="habits" element={<Habits />} />
              <Route path="devices" element={<Devices />} />
              <Route path="practice" element={<Practice />} />
              <Route path="*" element={<Nowhere message="There is no such place." />} />
            </Route>
          </Routes>
        </BrowserRouter>
      </SayProvider>
    </ThemeProvider>
  );
}

/** How long a plan is open before the places of it are read that one may go to without a server. */
const SETTLED = 3_000;

function OpenPlan(shell: { scheme: Scheme; setScheme: (scheme: Scheme) => void }) {
  const { id = "" } = useParams();
  useEffect(() => {
    const ahead = setTimeout(() => {
      readDialogs();
      for (const next of [Draft, Cut, Table, Sew]) next.load().catch(() => undefined); // told where one goes there
    }, SETTLED);
    return () => clearTimeout(ahead);
  }, []);
  return (
    <PlanProvider
      key={id}
      id={id}
      failed={(message) => (
        <Shell {...shell}>
          <Nowhere message={message} />
        </Shell>
      )}
    >
      <Shell {...shell}>
        <Outlet />
      </Shell>
    </PlanProvider>
  );
}

function Nowhere({ message }: { message: string }) {
  return (
    <div className="page">
      <h1>Not here</h1>
      <p className="large">
        {message} <Link to="/">Go to the shelf</Link>
      </p>
    </div>
  );
}

/** The places one mostly comes in by: their scripts are asked for at once, and named by the server with the page. */
const firstViews: Record<string, { load: () => Promise<unknown> }> = { Shelf, Draft, Cut, Sew };

const root = document.getElementById("root");
if (root) {
  for (const [path, view] of Object.entries(first)) {
    if (matchPath(`/${path.replace("*", ":id")}`, location.pathname)) firstViews[view]?.load().catch(() => undefined); // told there
  }
  const page = createRoot(root);
  // Drawn in slices: what is pressed meanwhile is heard.
  startTransition(() =>
    page.render(
      <StrictMode>
        <CacheProvider value={cache}>
          <QueryClientProvider client={client}>
            <App />
          </QueryClientProvider>
        </CacheProvider>
      </StrictMode>,
    ),
  );
}
