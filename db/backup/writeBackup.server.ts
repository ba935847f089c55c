import { createHash } from "node:crypto";
import { createWriteStream } from "node:fs";
import { rename, rm } from "node:fs/promises";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { createGzip } from "node:zlib";
import type { BackupHead } from "@tensidrum/core/formats";
import type { Database, Executor } from "../client.server";
import { backupKinds } from "./kinds";
import { countRows, rowsOfKind, settleTransaction } from "./rowsOfKind.server";
import { tablesOf } from "./tables.server";

/** How far a backup or its restoring has got, in rows. */
export type NoteBackupProgress = (progress: { readonly done: number; readonly total: number }) => void;

const FORMAT = "tensidrum-backup/1";

/** A backup of everything of one maker, line by line: a head, the rows of each kind and their digest, an end. */
async function* linesOfBackup(db: Executor, makerId: string, note: NoteBackupProgress): AsyncGenerator<string> {
  const rows: Record<string, number> = {};
  for (const kind of backupKinds) rows[kind.name] = await countRows(db, makerId, kind);
  const total = Object.values(rows).reduce((sum, count) => sum + count, 0);
  const head: BackupHead = { format: FORMAT, madeAt: new Date().toISOString(), tables: await tablesOf(db), rows };
  yield `${JSON.stringify(head)}\n`;
  let done = 0;
  for (const kind of backupKinds) {
    const digest = createHash("sha256");
    for await (const lines of rowsOfKind(db, makerId, kind)) {
      const text = `${lines.join("\n")}\n`;
      digest.update(text);
      yield text;
      note({ done: (done += lines.length), total });
    }
    yield `${JSON.stringify({ kind: kind.name, sha256: digest.digest("hex") })}\n`;
  }
  yield `${JSON.stringify({ end: FORMAT })}\n`;
}

/** Writes a backup into a file. It appears whole or not at all; everything in it is of one moment. */
export async function writeBackup(db: Database, makerId: string, file: string, note: NoteBackupProgress = () => undefined): Promise<void> {
  const own = `${file}.${process.pid}.part`;
  try {
    await db.transaction(
      async (tx) => {
        await settleTransaction(tx);
        await pipeline(Readable.from(linesOfBackup(tx, makerId, note), { highWaterMark: 1 }), createGzip(), createWriteStream(own));
      },
      { isolationLevel: "repeatable read", accessMode: "read only" },
    );
    await rename(own, file);
  } finally {
    await rm(own, { force: true });
  }
}

/** What tells two states of everything of a maker apart: a digest per kind. */
export async function digestsOf(db: Executor, makerId: string): Promise<ReadonlyMap<string, string>> {
  const digests = new Map<string, string>();
  await db.transaction(async (tx) => {
    await settleTransaction(tx);
    for (const kind of backupKinds) {
      const digest = createHash("sha256");
      for await (const lines of rowsOfKind(tx, makerId, kind)) digest.update(`${lines.join("\n")}\n`);
      digests.set(kind.name, digest.digest("hex"));
    }
  });
  return digests;
}
