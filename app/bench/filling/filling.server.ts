import { assessSums } from "@tensidrum/core/assessment";
import { materialsOf } from "@tensidrum/core/process";
import { listContainers } from "../../../db/containers/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { sendBatch } from "../batch/stored.server";

/** A batch with what it can be filled into, and its density: measured on the product, else the estimate from its lines. */
export async function openFilling(batchId: string) {
  const [sent, containers] = await Promise.all([sendBatch(batchId), listContainers(database(), currentMakerId())]);
  const { densityGramsPerMl } = assessSums(sent.formula, materialsOf(sent.formula));
  return {
    sent,
    containers,
    density: {
      gramsPerMl: densityGramsPerMl,
      source: sent.formula.measured?.densityGramsPerMl === undefined ? ("estimate" as const) : ("measured" as const),
    },
    newId: crypto.randomUUID(),
  };
}

export type OpenFilling = Awaited<ReturnType<typeof openFilling>>;
