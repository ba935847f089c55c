import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/backupFileRoute";
import { readBackupName } from "./backupForms.server";
import { backupFile } from "./backups.server";

/** A kept backup as a file. */
export const loader = answer(async ({ params }: Route.LoaderArgs) => backupFile(readBackupName(params)));
