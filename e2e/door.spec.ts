import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { accessible, expect, test } from "./app";
import { freePort, Server } from "./server";

test("over TLS: the key is typed once a browser, and a tablet comes in by a code", async ({ browser }) => {
  const dir = mkdtempSync(join(tmpdir(), "umschlag-e2e-"));
  const key = join(dir, "key");
  writeFileSync(key, "a key for the e2e");
  const server = await Server.start(join(dir, "data"), await freePort(), ["--tls", "--access-key-file", key]);
  const come = async () => {
    const context = await browser.newContext({ ignoreHTTPSErrors: true });
    const page = await context.newPage();
    await page.goto(`${server.url}/devices`);
    await expect(page.getByRole("button", { name: "Come in" })).toBeVisible();
    return { context, page };
  };
  const type = async (page: Awaited<ReturnType<typeof come>>["page"], text: string) => {
    await page.getByLabel(/Access key, or a code/).fill(text);
    await page.getByRole("button", { name: "Come in" }).click();
  };
  const { context, page } = await come();
  await accessible(page);
  await type(page, "something else");
  await expect(page.getByRole("alert")).toContainText("neither the access key nor a code");
  await type(page, "a key for the e2e");
  await expect(page.getByRole("combobox", { name: "What is to be covered" })).toBeVisible();
  await page.goto(`${server.url}/devices`);
  await expect(page.locator(".fingerprint")).toHaveText(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
  await page.getByRole("button", { name: "Make a code" }).click();
  const code = (await page.locator(".let-in-code").textContent()) ?? "";
  await accessible(page);
  const tablet = await come();
  await type(tablet.page, code);
  await expect(tablet.page.getByRole("combobox", { name: "What is to be covered" })).toBeVisible();
  const late = await come();
  await type(late.page, code);
  await expect(late.page.getByRole("alert")).toContainText("works once");
  for (const c of [context, tablet.context, late.context]) await c.close();
  await server.stop();
  rmSync(dir, { recursive: true });
});
