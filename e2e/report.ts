import { basename } from "node:path";
import { stripVTControlCharacters } from "node:util";
import type { FullResult, Reporter, TestCase, TestResult } from "@playwright/test/reporter";

const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`;

/** What a test failed on, in a few lines without colours. */
const reason = ({ status, error }: TestResult) => {
  const told = stripVTControlCharacters(
    error?.snippet ? `${error.message}\n${error.snippet}` : (error?.message ?? status),
  );
  return told
    .split("\n")
    .filter((line) => line.trim())
    .slice(0, 20)
    .map((line) => `    ${line}`)
    .join("\n");
};

/** Tells at the end where the time went, and which tests take more than they say they do, and what failed. */
export default class Report implements Reporter {
  private readonly files = new Map<string, { tests: number; took: number }>();
  private readonly over: string[] = [];
  private readonly failed: string[] = [];

  onTestEnd(test: TestCase, result: TestResult) {
    const name = basename(test.location.file);
    const file = this.files.get(name) ?? { tests: 0, took: 0 };
    this.files.set(name, { tests: file.tests + 1, took: file.took + result.duration });
    if (result.status !== test.expectedStatus) this.failed.push(`${name}: ${test.title}\n${reason(result)}`);
    // A test's limit is ten times what it takes on a quiet machine.
    if (result.duration > test.timeout / 10) this.over.push(`${name}: ${test.title} took ${seconds(result.duration)}`);
  }

  onEnd(result: FullResult) {
    console.log(`\nBrowser tests by file (${seconds(result.duration)} in all):`);
    for (const [name, { tests, took }] of [...this.files].sort((a, b) => b[1].took - a[1].took))
      console.log(`  ${seconds(took).padStart(8)}  ${String(tests).padStart(3)}  ${name}`);
    if (this.over.length > 0)
      console.log(
        `More than a tenth of their limit (the machine was busy, or it is to be raised):\n  ${this.over.join("\n  ")}`,
      );
    // Last, so that who reads only the end of it knows which.
    if (this.failed.length > 0) console.log(`Failed:\n${this.failed.join("\n")}`);
  }
}
