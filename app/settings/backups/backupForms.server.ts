import Joi from "joi";
import { Refusal } from "@tensidrum/core/quantities";
import { choice, group, text, type TypedOf } from "../../frame/fields.server";
import { jobField } from "../../frame/progress/progress.server";
import { readAddress } from "../../frame/readForm.server";

const LONGEST_NAME = 80;
const name = () =>
  Joi.string()
    .pattern(/^[a-z0-9-]+\.backup$/)
    .max(LONGEST_NAME);

/** What is to be done with which backup. */
export const backupForm = group({
  intent: choice(["make", "compare", "restore"]),
  name: name().allow("").default(""),
  /** What was told would change. */
  expected: text(40),
  job: jobField(),
});
export type TypedBackup = TypedOf<typeof backupForm>;

/** What was just made or restored, told in the address. */
export const backupQuestions = group({ made: name(), restored: name() });

const address = Joi.object<{ name: string }>({ name: name().required() });

/** @throws Refusal where no backup can lie at the address */
export function readBackupName(params: object): string {
  return readAddress(address, params, () => new Refusal("not-found", "No backup lies at this address.", "Look at the list of backups."))
    .name;
}
