import { Refusal } from "@tensidrum/core/quantities";
import { bytesOfBackup, findKeptBackup, keepBackup, listKeptBackups, receiveBackup } from "../../../db/backup/keptBackups.server";
import { compareBackup, restoreBackup, type BackupDifference } from "../../../db/backup/restoreBackup.server";
import { currentMakerId, database, workplace } from "../../../db/workplace.server";
import { writtenMoment } from "../../frame/dates.server";
import { forgetProgress, noteProgress } from "../../frame/progress/progress.server";
import { changedKinds } from "./changedKinds";

function folder(): string {
  const { backupsFolder } = workplace();
  if (backupsFolder === null) throw new Refusal("not-possible", "No backups are kept here.", "Start Tensidrum with bin/start.");
  return backupsFolder;
}

/** The backups kept on this machine, the newest first. */
export async function openBackups() {
  const kept = await listKeptBackups(folder());
  return {
    folder: folder(),
    kept: kept.map(({ keptAt, ...rest }) => ({ ...rest, kept: writtenMoment(new Date(keptAt)) })),
    bytes: kept.reduce((sum, { bytes }) => sum + bytes, 0),
  };
}

export type OpenBackups = Awaited<ReturnType<typeof openBackups>>;

async function counted<Result>(
  job: string,
  work: (note: (progress: { done: number; total: number }) => void) => Promise<Result>,
): Promise<Result> {
  try {
    return await work((progress) => {
      if (job !== "") noteProgress(job, progress);
    });
  } finally {
    forgetProgress(job);
  }
}

/** Makes a backup now. Answers its name. */
export async function makeBackup(job: string): Promise<string> {
  const kept = await counted(job, (note) => keepBackup(database(), currentMakerId(), { folder: folder(), reason: "made", note }));
  return kept.name;
}

/** What restoring a backup would change here. */
export async function compareKept(name: string, job: string) {
  const { file } = await findKeptBackup(folder(), name);
  const difference = await counted(job, (note) => compareBackup(database(), currentMakerId(), file, note));
  return { name, ...told(difference) };
}

export type ComparedBackup = Awaited<ReturnType<typeof compareKept>>;

function told({ madeAt, kinds, fingerprint }: BackupDifference) {
  return { made: writtenMoment(new Date(madeAt)), fingerprint, ...changedKinds(kinds) };
}

/** Makes everything as it is in the backup. What was here before is kept as a backup of its own first. */
export async function restoreKept({
  name,
  expected,
  job,
}: {
  readonly name: string;
  readonly expected: string;
  readonly job: string;
}): Promise<void> {
  const { file } = await findKeptBackup(folder(), name);
  await keepBackup(database(), currentMakerId(), { folder: folder(), reason: "before" });
  await counted(job, (note) => restoreBackup(database(), currentMakerId(), file, { expected, note }));
}

/** A kept backup as a file. */
export async function backupFile(name: string): Promise<Response> {
  const { file, bytes } = await findKeptBackup(folder(), name);
  return new Response(bytesOfBackup(file), {
    headers: {
      "Content-Type": "application/octet-stream",
      "Content-Length": String(bytes),
      "Content-Disposition": `attachment; filename="${name}"`,
      "Cache-Control": "private, no-store",
    },
  });
}

/** Keeps a backup that is sent from another machine. Answers its name here. */
export async function takeSent(request: Request): Promise<string> {
  if (request.body === null) throw new Refusal("not-valid", "The file is empty.", "Choose a file that ends in .backup.");
  return receiveBackup(folder(), request.body);
}
