import { readFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import { makeDataFolder } from "../e2e/testing/dataFolder";
import { startApplication } from "../e2e/testing/startApplication";
import { makeFormula } from "./benchFormula";
const folder = makeDataFolder();
const app = await startApplication({ TENSIDRUM_DATA: folder.path });
const breakdown = (file: string) => {
  const ev = JSON.parse(readFileSync(file, "utf8")).traceEvents as any[];
  const keys = ev.filter((e) => e.name === "EventDispatch" && e.args?.data?.type === "keydown").slice(10);
  const on = ev.filter((e) => e.pid === keys[0].pid && e.tid === keys[0].tid && e.dur).sort((a, b) => a.ts - b.ts || b.dur - a.dur);
  const sums = new Map<string, number>();
  for (const k of keys) { let until = 0; for (const e of on) { if (e.ts < k.ts || e.ts > k.ts + 80000) continue;
    const top = e.ts >= until; 
    const n = e.name === "EventDispatch" ? "ED " + e.args.data.type : e.name;
    if (/RunTask/.test(n)) continue;
    if (top) { until = e.ts + e.dur; sums.set("TOP " + n, (sums.get("TOP " + n) ?? 0) + e.dur / 1000); }
    else if (/Layout|UpdateLayoutTree|Paint|GC/.test(n)) sums.set("  in " + n, (sums.get("  in " + n) ?? 0) + e.dur / 1000); } }
  let tot = 0; for (const [n, d] of [...sums].sort((a, b) => b[1] - a[1])) { if (n.startsWith("TOP")) tot += d; if (d / keys.length > 0.08) console.log((d / keys.length).toFixed(2).padStart(7), n); } console.log("sum mean", (tot / keys.length).toFixed(2));
};
try {
  const sheet = await makeFormula(app.address, 40);
  const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox","--disable-gpu"] });
  for (const [url, sel] of [[app.address + "/scales", "input[name=name] >> nth=0"], [sheet, "textarea"], [sheet, "input[data-percent-of] >> nth=10"]]) {
    const page = await b.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(url!, { waitUntil: "networkidle" });
    await page.locator(sel!).fill("");
    await b.startTracing(page, { path: "/tmp/t.json", categories: ["devtools.timeline"] });
    for (let i = 0; i < 50; i++) { await page.keyboard.press(i % 2 ? "Backspace" : "3"); await page.waitForTimeout(100); }
    await b.stopTracing(); console.log("==", url, sel); breakdown("/tmp/t.json"); await page.close();
  }
  await b.close();
} finally { await app.stop(); folder.remove(); }
