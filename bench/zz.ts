import { makeDataFolder } from "../e2e/testing/dataFolder";
import { startApplication } from "../e2e/testing/startApplication";
import { makeFormula } from "./benchFormula";
import { benchKeystrokes } from "./keystrokeBench";
import { benchPages } from "./pageBench";
import { benchCore } from "./coreBench";
const folder = makeDataFolder();
const app = await startApplication({ TENSIDRUM_DATA: folder.path });
try { const sheet = await makeFormula(app.address, 40); 
for (const m of [...(process.argv[2]?.includes("k") ? await benchKeystrokes(sheet, "/tmp/trace.json") : []), ...(process.argv[2]?.includes("p") ? await benchPages(sheet) : []), ...(process.argv[2]?.includes("c") ? benchCore() : [])]) console.log(m.what.padEnd(60), m.value.toFixed(3));
} finally { await app.stop(); folder.remove(); }
