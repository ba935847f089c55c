import { textProblem } from "@tensidrum/core/quantities";
import { currentMakerId, database } from "../../db/workplace.server";
import { findMaker, saveBatchCode, saveUnits } from "../../db/makers/queries.server";
import { usualBatchCode } from "../../db/makers/schema";
import { openContainers, saveContainers } from "./containers.server";
import { openDrops, weighDrops } from "./drops.server";
import { calibrate } from "./funnel.server";
import type { RowProblem } from "./rows";
import { openScales, saveScales } from "./scales.server";
import type { SettingsForm } from "./settingsForm.server";

/** Everything the maker has settled once, and identifiers for new rows. */
export async function openSettings() {
  const [scales, containers, drops, maker] = await Promise.all([
    openScales(),
    openContainers(),
    openDrops(),
    findMaker(database(), currentMakerId()),
  ]);
  return {
    scales,
    containers,
    drops,
    batchCode: maker?.batchCode ?? usualBatchCode,
    funnel: maker?.funnelK == null || maker.funnelC === null ? null : { k: maker.funnelK, c: maker.funnelC },
    blankIds: { scales: crypto.randomUUID(), containers: crypto.randomUUID() },
  };
}

export type OpenSettings = Awaited<ReturnType<typeof openSettings>>;

export interface SettingsProblem {
  readonly form: SettingsForm;
  readonly rows: readonly RowProblem[];
  readonly message: string | null;
}

/** Saves one form of the settings. Answers what is wrong with it, or nothing. */
export async function saveSettings(form: SettingsForm): Promise<SettingsProblem | null> {
  switch (form.intent) {
    case "units": {
      const message = textProblem(form.currency);
      if (message !== null) return { form, rows: [], message };
      await saveUnits(database(), currentMakerId(), form);
      return null;
    }
    case "codes": {
      const message = patternProblem(form.batchCode);
      if (message !== null) return { form, rows: [], message };
      await saveBatchCode(database(), currentMakerId(), form.batchCode);
      return null;
    }
    case "drops": {
      const message = await weighDrops(form.drops);
      return message === null ? null : { form, rows: [], message };
    }
    case "funnel": {
      const message = await calibrate(form.funnel);
      return message === null ? null : { form, rows: [], message };
    }
    case "scales":
    case "containers": {
      const rows = await (form.intent === "scales" ? saveScales : saveContainers)(form.rows);
      return rows.length === 0 ? null : { form, rows, message: null };
    }
  }
}

/** What is wrong with a pattern for codes, or nothing. */
function patternProblem(pattern: string): string | null {
  const problem = textProblem(pattern);
  if (problem !== null) return problem;
  if (!pattern.includes("{n}")) return "A code needs {n}, the number that makes it the only one.";
  const unknown = /\{(?!(?:letters|yymmdd|yyyy|mm|dd|n)\})[^}]*\}?/.exec(pattern)?.[0];
  return unknown === undefined ? null : `${unknown} means nothing here. Use {letters}, {yymmdd}, {yyyy}, {mm}, {dd} and {n}.`;
}
