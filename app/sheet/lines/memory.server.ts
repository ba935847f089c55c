import { scentMemory, trialsOf } from "@tensidrum/core/stability";
import { listHolding } from "../../../db/batches/queries.server";
import { listSeenLater } from "../../../db/watch/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";

/** Batches with the material that are remembered, the newest. */
const MOST = 24;

/** What earlier batches tell of a material. */
export async function rememberedOf(material: string) {
  const batches = await listHolding(database(), currentMakerId(), material, MOST);
  const seen = await listSeenLater(
    database(),
    currentMakerId(),
    batches.map(({ id }) => id),
  );
  const trials = batches.flatMap(({ id, code, lines, entries }) => {
    const later = seen
      .filter(({ batchId }) => batchId === id)
      .map(({ colour, clarity, labL, labA, labB }) => ({
        ...{ colour, clarity },
        lab: labL === null || labA === null || labB === null ? null : { l: labL, a: labA, b: labB },
      }));
    const held = lines.map(({ id: line, percent }) => ({ id: line, material, percent: percent ?? 0 }));
    return trialsOf(code, held, entries, later);
  });
  return { text: trials.length === 0 ? null : scentMemory(material, trials).text };
}

export type Remembered = Awaited<ReturnType<typeof rememberedOf>>;
