import { Readable } from "node:stream";
import Papa from "papaparse";
import { atWorkplace, workplace, type Workplace } from "../../db/workplace.server";

/** A row by the heads of its columns; a head tells its unit. */
export type CsvRow = Readonly<Record<string, string | number>>;

const AS_TEXT = { escapeFormulae: true, newline: "\r\n" } as const;

type SomeRows = AsyncIterable<readonly CsvRow[]> | Iterable<readonly CsvRow[]>;

async function* textOf(heads: readonly string[], some: SomeRows): AsyncGenerator<string> {
  yield `${Papa.unparse([heads], AS_TEXT)}\r\n`;
  for await (const rows of some) {
    if (rows.length > 0) {
      yield `${Papa.unparse(
        rows.map((row) => heads.map((head) => row[head] ?? "")),
        AS_TEXT,
      )}\r\n`;
    }
  }
}

/** The rows that are made while the answer is sent are made for whom it was asked. */
async function* forWhoAsked(here: Workplace, texts: AsyncGenerator<string>): AsyncGenerator<Buffer> {
  for (;;) {
    const next = await atWorkplace(here, () => texts.next());
    if (next.done === true) return;
    yield Buffer.from(next.value);
  }
}

/** Rows as a table for a spreadsheet, sent as they come. Cells that begin like a formula of a spreadsheet stay text. */
export function csvAnswer(name: string, heads: readonly string[], some: SomeRows): Response {
  const texts = forWhoAsked(workplace(), textOf(heads, some));
  const body = Readable.toWeb(Readable.from(texts)) as ReadableStream<Uint8Array>;
  return new Response(body, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="${name.replaceAll(/[^\w.-]+/g, "-")}"`,
      "Cache-Control": "private, no-store",
    },
  });
}
