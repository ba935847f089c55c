import { openDatabase } from "../db/client.server";
import { copyFormula } from "../db/testing/copyFormula";
import type { Measured } from "./measure";
import { serverMilliseconds } from "./pageBench";

const FEW = 100;
const MANY = 10_000;

/** The board of a maker with few formulas beside that of one with many: a page reads stored readings of its own rows alone. */
export async function benchList(sheet: string, databaseUrl: string): Promise<Measured[]> {
  const { db, close } = openDatabase(databaseUrl);
  const formulaId = new URL(sheet).pathname.split("/").at(-1) ?? "";
  const board = new URL("/", sheet).toString();
  try {
    await copyFormula(db, formulaId, FEW);
    const few = await serverMilliseconds(board);
    await copyFormula(db, formulaId, MANY - FEW);
    const many = await serverMilliseconds(board);
    return [
      { what: `server: board over ${FEW} formulas, median`, value: few, unit: "ms", limit: null },
      { what: `server: board over ${MANY.toLocaleString("en-GB")} formulas, median`, value: many, unit: "ms", limit: null },
      { what: "server: board over many beside few", value: many / few, unit: "times", limit: 1.5 },
    ];
  } finally {
    await close();
  }
}
