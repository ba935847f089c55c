import type { ProfileSlug } from "@tensidrum/core/formula";
import { checkCalendar, type Storage } from "@tensidrum/core/stability";
import { planChecks } from "../../db/watch/queries.server";
import { currentMakerId, database } from "../../db/workplace.server";
import { isoDay } from "./dates.server";

interface MadeBatch {
  readonly id: string;
  readonly profile: ProfileSlug;
  readonly madeAt: Date;
}

/** Plans the checks a batch usually gets for the samples that are put aside; what is planned already stays as it is. */
export async function planUsualChecks({ id, profile, madeAt }: MadeBatch, samples: readonly Storage[]): Promise<void> {
  const planned = checkCalendar(isoDay(madeAt), profile).flatMap(({ title, on, samples: of }) =>
    of.filter((storage) => samples.includes(storage)).map((storage) => ({ id: crypto.randomUUID(), storage, title, dueOn: on })),
  );
  await planChecks(database(), currentMakerId(), id, planned);
}
