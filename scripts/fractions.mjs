// Writes core/length/testdata/fractions.json: texts with their values as
// worked out by fraction.js, an independent library of exact fractions. The
// length reader is tested against them.
import { mkdirSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import Fraction from "fraction.js";

let seed = 20260101;
// A small linear congruential generator: the same cases every time.
const random = (n) => {
  seed = (seed * 1103515245 + 12345) % 2147483648;
  return Math.floor((seed / 2147483648) * n);
};
const pick = (list) => list[random(list.length)];

const units = {
  "": 25400000,
  '"': 25400000,
  " in": 25400000,
  " yd": 914400000,
  " ft": 304800000,
  mm: 1000000,
  " cm": 10000000,
};
const cases = [];
for (let i = 0; i < 400; i++) {
  const whole = random(60);
  const under = pick([2, 3, 4, 5, 7, 8, 10, 12, 16, 32, 64]);
  const top = 1 + random(under - 1);
  const decimals = String(random(100000)).padStart(5, "0");
  const number = pick([
    { text: `${whole} ${top}/${under}`, value: new Fraction(top, under).add(whole) },
    { text: `${whole}-${top}/${under}`, value: new Fraction(top, under).add(whole) },
    { text: `${top}/${under}`, value: new Fraction(top, under) },
    { text: `${whole}.${decimals}`, value: new Fraction(`${whole}.${decimals}`) },
    { text: `${whole},${decimals}`, value: new Fraction(`${whole}.${decimals}`) },
    { text: `${whole}`, value: new Fraction(whole) },
  ]);
  const unit = pick(Object.keys(units));
  const sign = pick(["", "", "-"]);
  // Half a nanometre goes away from zero, as for the positive value.
  const nm = number.value.mul(units[unit]).round().toString();
  cases.push({ text: `${sign}${number.text}${unit}`, nm: sign && nm !== "0" ? `-${nm}` : nm });
}

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const file = join(root, "core/length/testdata/fractions.json");
mkdirSync(dirname(file), { recursive: true });
writeFileSync(file, `${JSON.stringify(cases, null, 1)}\n`);
