import { currentMakerId, database } from "../../db/workplace.server";
import { findMaker, saveBatchCode, saveUnits } from "../../db/makers/queries.server";
import { usualBatchCode } from "../../db/makers/schema";
import { openDrops, weighDrops } from "./drops.server";
import { calibrate } from "./funnel.server";
import type { FieldProblem } from "../frame/formAnswer";
import { filledRows } from "./rows";
import { openScales, saveScales } from "./scales.server";
import type { TypedSettings } from "./settingsForm.server";

/** Everything the maker has settled once, and identifiers for new rows. */
export async function openSettings() {
  const [scales, drops, maker] = await Promise.all([openScales(), openDrops(), findMaker(database(), currentMakerId())]);
  return {
    scales,
    drops,
    batchCode: maker?.batchCode ?? usualBatchCode,
    funnel: maker?.funnelK == null || maker.funnelC === null ? null : { k: maker.funnelK, c: maker.funnelC },
    blankIds: { scales: crypto.randomUUID() },
  };
}

export type OpenSettings = Awaited<ReturnType<typeof openSettings>>;

/** Saves one form of the settings. Answers what is wrong with it. */
export async function saveSettings(typed: TypedSettings): Promise<readonly FieldProblem[]> {
  switch (typed.intent) {
    case "units":
      await saveUnits(database(), currentMakerId(), typed);
      return [];
    case "codes": {
      const problems = patternProblems(typed.batchCode);
      if (problems.length === 0) await saveBatchCode(database(), currentMakerId(), typed.batchCode);
      return problems;
    }
    case "drops":
      return weighDrops(typed);
    case "funnel":
      return calibrate(typed);
    case "scales":
      return saveScales(filledRows(typed.rows));
  }
}

/** What is wrong with a pattern for codes. */
function patternProblems(pattern: string): readonly FieldProblem[] {
  const say = (message: string) => [{ field: "batchCode", message }];
  if (!pattern.includes("{n}")) return say("A code needs {n}, the number that makes it the only one.");
  const unknown = /\{(?!(?:letters|yymmdd|yyyy|mm|dd|n)\})[^}]*\}?/.exec(pattern)?.[0];
  return unknown === undefined ? [] : say(`${unknown} means nothing here. Use {letters}, {yymmdd}, {yyyy}, {mm}, {dd} and {n}.`);
}
