import { execFileSync, spawn } from "node:child_process";
import { once } from "node:events";
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { binary } from "./server";

/** Makes the workshop with the demo data once, as the app makes it; tests get copies of it. Notes what was looked at. */
export default async function setup() {
  const dir = mkdtempSync(join(tmpdir(), "umschlag-e2e-demo-"));
  const [own, made] = [join(dir, "own"), join(dir, "made")];
  mkdirSync(own);
  mkdirSync(made);
  const demo = spawn(binary, ["demo", "--listen", "127.0.0.1:0"], {
    stdio: ["ignore", "pipe", "inherit"],
    env: { ...process.env, TMPDIR: own },
  });
  const [opened] = await once(demo.stdout, "data");
  const [url] = /http:\S+/.exec(String(opened)) ?? [];
  // What the shelf shows of its plans is kept with them: worked out here, no test's server works it out again.
  while ((await fetch(`${url}/api/v1/plans`)).headers.has("retry-after"));
  const [data = ""] = readdirSync(own).filter((name) => name.startsWith("umschlag-demo-"));
  execFileSync(binary, ["backup", "--data", join(own, data), join(made, "umschlag.db")]);
  demo.kill();
  await once(demo, "exit");
  process.env.UMSCHLAG_E2E_DEMO = made;
  const looks = join(dir, "looks");
  writeFileSync(looks, "");
  process.env.UMSCHLAG_E2E_LOOKS = looks;
  return () => rmSync(dir, { recursive: true });
}
