import { createHash } from "node:crypto";
import { createReadStream } from "node:fs";
import { open } from "node:fs/promises";
import { createGunzip } from "node:zlib";
import { readBackupHead, readLabelDesign, readStoredEntry, type BackupHead } from "@tensidrum/core/formats";
import { Refusal } from "@tensidrum/core/quantities";
import { backupKinds, type BackupKind } from "./kinds";

/** What a backup holds, in the order it comes. */
export interface BackupRows {
  readonly kind: BackupKind;
  /** As they were written, with every digit of their numbers. */
  readonly lines: readonly string[];
  readonly rows: readonly Row[];
}

type Row = Readonly<Record<string, unknown>>;

const ROWS_AT_ONCE = 500;
const MOST_CHARACTERS_AT_ONCE = 1_000_000;
/** No row is longer: the largest photo with its frame. */
const LONGEST_LINE = 16_000_000;

const FOREIGN = new Refusal("not-valid", "This file is not a backup made by Tensidrum.", "Choose a file that ends in .backup.");

function damaged(where: string): Refusal {
  return new Refusal("not-valid", `This backup is damaged: ${where}. Nothing was stored.`, "Choose another backup.");
}

function cutOff(line: number): Refusal {
  return new Refusal("not-valid", `This backup ends too early, after line ${line}. Nothing was stored.`, "Copy the file again, whole.");
}

async function isPacked(file: string): Promise<boolean> {
  const opened = await open(file);
  try {
    const { buffer, bytesRead } = await opened.read(Buffer.alloc(2), 0, 2, 0);
    return bytesRead === 2 && buffer[0] === 0x1f && buffer[1] === 0x8b;
  } finally {
    await opened.close();
  }
}

interface Line {
  readonly text: string;
  readonly number: number;
}

/** The lines of a file, packed or not, without holding more than one of them. A last line without its end is not told. */
async function* linesOf(file: string): AsyncGenerator<Line> {
  const raw = createReadStream(file);
  const stream = (await isPacked(file)) ? raw.pipe(createGunzip()) : raw;
  raw.on("error", (error) => stream.destroy(error));
  let number = 0;
  let rest: Buffer[] = [];
  let length = 0;
  try {
    for await (const chunk of stream as AsyncIterable<Buffer>) {
      let from = 0;
      for (let end = chunk.indexOf(10); end !== -1; end = chunk.indexOf(10, from)) {
        const line = Buffer.concat([...rest, chunk.subarray(from, end)]);
        rest = [];
        length = 0;
        from = end + 1;
        yield { text: line.toString("utf8"), number: (number += 1) };
      }
      rest.push(chunk.subarray(from));
      length += chunk.length - from;
      if (length > LONGEST_LINE) throw number === 0 ? FOREIGN : damaged(`line ${number + 1} has no end`);
    }
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code ?? "";
    if (code === "Z_BUF_ERROR") throw number === 0 ? FOREIGN : cutOff(number);
    if (code.startsWith("Z_")) throw number === 0 ? FOREIGN : damaged(`it cannot be unpacked after line ${number}`);
    throw error;
  } finally {
    raw.destroy();
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** @param tables how many changes this build's tables have seen */
function headOf(line: Line | undefined, tables: number): BackupHead {
  const value = line === undefined ? undefined : parsed(line.text);
  const format = (value as { readonly format?: unknown } | undefined)?.format;
  if (typeof format !== "string" || !format.startsWith("tensidrum-backup/")) throw FOREIGN;
  const newer = new Refusal("not-valid", "This backup was made by a newer Tensidrum.", "Update Tensidrum here, then restore it.");
  if (format !== "tensidrum-backup/1") throw newer;
  const head = readBackupHead(value);
  if (head.tables > tables) throw newer;
  const unknown = Object.keys(head.rows).find((name) => !backupKinds.some((kind) => kind.name === name));
  if (unknown !== undefined) throw damaged(`line 1 speaks of "${unknown}", which nobody knows`);
  return head;
}

/** Reads no further than the head. */
export async function headOfBackup(file: string, tables: number): Promise<BackupHead> {
  for await (const line of linesOf(file)) return headOf(line, tables);
  throw FOREIGN;
}

/** Readers of what in a row is a file of an open format. */
const DOCUMENTS: ReadonlyMap<string, (row: Row) => unknown> = new Map<string, (row: Row) => unknown>([
  ["batch_entries", ({ entry }) => readStoredEntry(entry)],
  ["labels", ({ design }) => readLabelDesign(design)],
]);

/** The rows of lines; what in them is a file of an open format must be one. */
function rowsOf(kind: BackupKind, lines: readonly string[], firstLine: number): readonly Row[] {
  const rows = lines.map((line, at) => {
    const row = parsed(line);
    if (typeof row !== "object" || row === null || Array.isArray(row)) throw damaged(`line ${firstLine + at}, in ${kind.name}, is no row`);
    const strange = Object.keys(row).find((name) => !kind.columns.some((column) => column.name === name));
    if (strange !== undefined) throw damaged(`line ${firstLine + at}, in ${kind.name}, tells "${strange}", which nobody knows`);
    return row as Row;
  });
  const readDocument = DOCUMENTS.get(kind.name);
  if (readDocument !== undefined) {
    rows.forEach((row, at) => {
      try {
        readDocument(row);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        throw damaged(`line ${firstLine + at}, in ${kind.name}: ${error.message.replace(/\.$/, "")}`);
      }
    });
  }
  return rows;
}

/**
 * Reads a backup from its first line to its last and checks every digest. The head comes first, then the rows.
 * @param tables how many changes this build's tables have seen
 * @throws Refusal that says where the file is damaged, cut off, newer or not a backup at all.
 */
export async function* readBackup(file: string, tables: number): AsyncGenerator<BackupHead | BackupRows, ReadonlyMap<string, string>> {
  const lines = linesOf(file);
  let last = 0;
  const next = async (): Promise<Line | undefined> => {
    const { value, done } = await lines.next();
    if (done === true) return undefined;
    last = value.number;
    return value;
  };
  const must = async (): Promise<Line> => (await next()) ?? raise(cutOff(last));
  const head = headOf(await next(), tables);
  yield head;
  const digests = new Map<string, string>();
  for (const kind of backupKinds) {
    const count = head.rows[kind.name];
    // A backup of earlier tables does not know of it.
    if (count === undefined) continue;
    const digest = createHash("sha256");
    for (let left = count; left > 0;) {
      const read: string[] = [];
      const firstLine = last + 1;
      for (let characters = 0; left > 0 && read.length < ROWS_AT_ONCE && characters < MOST_CHARACTERS_AT_ONCE; left -= 1) {
        const { text } = await must();
        read.push(text);
        characters += text.length;
      }
      digest.update(`${read.join("\n")}\n`);
      yield { kind, lines: read, rows: rowsOf(kind, read, firstLine) };
    }
    const told = parsed((await must()).text) as { readonly kind?: unknown; readonly sha256?: unknown } | undefined;
    const found = digest.digest("hex");
    if (told?.kind !== kind.name || told.sha256 !== found)
      throw damaged(`the ${kind.name} before line ${last} are not those that were written`);
    digests.set(kind.name, found);
  }
  const end = parsed((await must()).text) as { readonly end?: unknown } | undefined;
  if (end?.end !== head.format) throw damaged(`line ${last} is not its end`);
  return digests;
}

function raise(error: Error): never {
  throw error;
}
