import { coreVersion } from "@tensidrum/core/assessment";
import { firstWash } from "../../db/demo/firstWash";
import { benchOf, contentOf } from "../../db/demo/loadDemo.server";
import { finaliseDraft, insertFormula } from "../../db/formulas/writes.server";
import { currentMakerId, database } from "../../db/workplace.server";

const NOTE = "200 g to learn the way from the first line to the record.";

/** A small hand wash, final at once, that can be made with simulated instruments. Answers where its batch begins. */
export async function beginFirstWash(): Promise<string> {
  const [db, makerId] = [database(), currentMakerId()];
  const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
  const version = { id: ids.versionId, lines: firstWash.lines };
  const { content, snapshot } = contentOf({ ...firstWash, id: ids.formulaId, versions: [version] }, version, await benchOf(db, makerId));
  await db.transaction(async (tx) => {
    await insertFormula(tx, makerId, ids, content);
    const record = { note: NOTE, snapshot, assessment: content.assessment, coreVersion };
    await finaliseDraft(tx, makerId, { versionId: ids.versionId, revision: 0 }, record);
  });
  return `/bench/begin/${ids.formulaId}/1`;
}
