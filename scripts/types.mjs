// Writes docs/plan.schema.json and the user interface's types from the Go
// types; with --check it only says whether they are fresh.
import { execFileSync } from "node:child_process";
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { compile } from "json-schema-to-typescript";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const schema = (name) => execFileSync("go", ["run", "./cmd/schema", name], { cwd: root, encoding: "utf8" });
// A description beside a reference would make a type of its own for each use.
const bare = (_, value) =>
  value?.$ref && typeof value.description === "string" ? { ...value, description: undefined } : value;
const types = (text, name) =>
  compile(JSON.parse(text, bare), name, {
    bannerComment: "// Generated from the Go types by scripts/types.mjs; do not edit.",
    additionalProperties: false,
    format: false,
  });

const plan = schema("plan");
const api = schema("api");
const files = {
  "docs/plan.schema.json": plan,
  "ui/src/api/plan.gen.ts": await types(plan, "Plan"),
  "ui/src/api/api.gen.ts": await types(api, "Types"),
};

let stale = 0;
for (const [name, text] of Object.entries(files)) {
  const path = join(root, name);
  let now = "";
  try {
    now = readFileSync(path, "utf8");
  } catch {
    // not made yet
  }
  if (now === text) continue;
  if (process.argv.includes("--check")) {
    console.error(`${name} is stale: run make types`);
    stale++;
    continue;
  }
  mkdirSync(dirname(path), { recursive: true });
  writeFileSync(path, text);
  console.log(`wrote ${name}`);
}
process.exit(stale ? 1 : 0);
