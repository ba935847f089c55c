import { createReadStream, createWriteStream } from "node:fs";
import { mkdir, readdir, rename, rm, stat } from "node:fs/promises";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { Refusal } from "@tensidrum/core/quantities";
import type { Database } from "../client.server";
import { makerOfSession, THIS_MACHINE } from "../makers/queries.server";
import { writeBackup, type NoteBackupProgress } from "./writeBackup.server";

/** Why a backup lies in the folder. */
export const backupReasons = ["daily", "made", "before", "received"] as const;

export type BackupReason = (typeof backupReasons)[number];

export interface KeptBackup {
  readonly name: string;
  readonly reason: BackupReason;
  readonly bytes: number;
  /** ISO moment. */
  readonly keptAt: string;
}

/** So many of each reason stay; of the daily ones it is a week. */
const KEPT_OF_EACH = 7;

const NAME = /^tensidrum-\d{4}-\d{2}-\d{2}(?:-\d{6}-(made|before|received))?\.backup$/;

const two = (number: number): string => String(number).padStart(2, "0");

/** As the clock of this machine has it. */
function dayOf(moment: Date): string {
  return `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`;
}

function nameOf(reason: BackupReason, moment: Date): string {
  if (reason === "daily") return `tensidrum-${dayOf(moment)}.backup`;
  const time = `${two(moment.getHours())}${two(moment.getMinutes())}${two(moment.getSeconds())}`;
  return `tensidrum-${dayOf(moment)}-${time}-${reason}.backup`;
}

function reasonOf(name: string): BackupReason | null {
  const match = NAME.exec(name);
  return match === null ? null : ((match[1] as BackupReason | undefined) ?? "daily");
}

/** The backups of a folder, the newest first. */
export async function listKeptBackups(folder: string): Promise<readonly KeptBackup[]> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const found = await Promise.all(
    (await readdir(folder)).map(async (name): Promise<readonly KeptBackup[]> => {
      const reason = reasonOf(name);
      if (reason === null) return [];
      // Another process may take it away at this moment.
      const stats = await stat(`${folder}/${name}`).catch(() => null);
      return stats === null ? [] : [{ name, reason, bytes: stats.size, keptAt: stats.mtime.toISOString() }];
    }),
  );
  return found.flat().sort((a, b) => b.keptAt.localeCompare(a.keptAt) || b.name.localeCompare(a.name));
}

/** @throws Refusal where there is no such backup */
export async function findKeptBackup(folder: string, name: string): Promise<KeptBackup & { readonly file: string }> {
  const found = (await listKeptBackups(folder)).find((kept) => kept.name === name);
  if (found === undefined) throw new Refusal("not-found", "This backup is not kept here any more.", "Look at the list of backups.");
  return { ...found, file: `${folder}/${name}` };
}

/** The bytes of a kept backup, as they are read. */
export function bytesOfBackup(file: string): ReadableStream<Uint8Array> {
  return Readable.toWeb(createReadStream(file)) as ReadableStream<Uint8Array>;
}

/** Takes away what is more than a week's worth of each reason. */
async function dropOldest(folder: string): Promise<void> {
  const kept = await listKeptBackups(folder);
  for (const reason of backupReasons) {
    for (const { name } of kept.filter((one) => one.reason === reason).slice(KEPT_OF_EACH)) await rm(`${folder}/${name}`, { force: true });
  }
}

/** Makes a backup of everything of a maker and keeps it in the folder. */
export async function keepBackup(
  db: Database,
  makerId: string,
  { folder, reason, note }: { readonly folder: string; readonly reason: BackupReason; readonly note?: NoteBackupProgress },
): Promise<KeptBackup> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const name = nameOf(reason, new Date());
  await writeBackup(db, makerId, `${folder}/${name}`, note);
  await dropOldest(folder);
  return findKeptBackup(folder, name);
}

/** Keeps a file that was sent, as it comes; nothing of it is believed yet. */
export async function receiveBackup(folder: string, body: ReadableStream<Uint8Array>): Promise<string> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const name = nameOf("received", new Date());
  const part = `${folder}/${name}.${crypto.randomUUID()}.part`;
  try {
    await pipeline(Readable.fromWeb(body as Parameters<typeof Readable.fromWeb>[0]), createWriteStream(part));
    await rename(part, `${folder}/${name}`);
  } finally {
    await rm(part, { force: true });
  }
  await dropOldest(folder);
  return name;
}

const HOUR_MILLISECONDS = 3_600_000;

/** Keeps a backup of each day this machine runs. @returns what ends it */
export function keepDailyBackups(
  db: Database,
  { folder, say }: { readonly folder: string; readonly say: (step: string) => void },
): () => Promise<void> {
  const keep = async (): Promise<void> => {
    const makerId = await makerOfSession(db, THIS_MACHINE);
    const today = nameOf("daily", new Date());
    if (makerId === undefined || (await listKeptBackups(folder)).some(({ name }) => name === today)) return;
    const { bytes } = await keepBackup(db, makerId, { folder, reason: "daily" });
    const all = (await listKeptBackups(folder)).reduce((sum, one) => sum + one.bytes, 0);
    say(`Kept today's backup of everything: ${folder}/${today}, ${megabytes(bytes)}; all backups there ${megabytes(all)}.`);
  };
  // One that fails is tried again in an hour; the work goes on without it.
  const attempt = () =>
    keep().catch((error: unknown) => say(`Today's backup could not be made: ${error instanceof Error ? error.message : String(error)}`));
  let last = attempt();
  const timer = setInterval(() => (last = attempt()), HOUR_MILLISECONDS);
  return async () => {
    clearInterval(timer);
    await last;
  };
}

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(bytes < 1e7 ? 2 : 0)} MB`;
