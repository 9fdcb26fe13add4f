// @vitest-environment node
import { readdirSync, readFileSync, statSync } from "node:fs";
import { dirname, join, normalize, relative } from "node:path";
import { expect, test } from "vitest";

const root = join(__dirname, "..");
const own = (path: string) => /\.tsx?$/.test(path) && !/\.(test|gen)\./.test(path);
const within = (dir: string): string[] =>
  readdirSync(dir).flatMap((name) => {
    const path = join(dir, name);
    return statSync(path).isDirectory() ? within(path) : own(path) ? [path] : [];
  });
const files = within(root);
const text = new Map(files.map((file) => [file, readFileSync(file, "utf8")]));
const imports = (file: string) =>
  [...(text.get(file) ?? "").matchAll(/^import [^;]*?from "(\.[^"]+)"/gm)].flatMap((found) => {
    const path = normalize(join(dirname(file), found[1] ?? ""));
    return [`${path}.ts`, `${path}.tsx`].filter((name) => text.has(name));
  });

test("no file imports itself, by whatever way", () => {
  const done = new Set<string>();
  const circles: string[] = [];
  const follow = (file: string, way: string[]) => {
    if (way.includes(file))
      circles.push([...way.slice(way.indexOf(file)), file].map((f) => relative(root, f)).join(" → "));
    if (done.has(file)) return;
    done.add(file);
    for (const next of imports(file)) follow(next, [...way, file]);
  };
  for (const file of files) follow(file, []);
  expect(circles).toEqual([]);
});

test("no file is longer than can be kept in mind", () => {
  const long = files.filter((file) => (text.get(file) ?? "").split("\n").length > 400);
  expect(long.map((file) => relative(root, file))).toEqual([]);
});
