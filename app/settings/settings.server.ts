import { database } from "../../db/client.server";
import { saveUnits } from "../../db/makers/queries.server";
import { currentMakerId } from "../frame/maker.server";
import { openContainers, saveContainers } from "./containers.server";
import { openDrops, weighDrops } from "./drops.server";
import type { RowProblem } from "./rows";
import { openScales, saveScales } from "./scales.server";
import type { SettingsForm } from "./settingsForm.server";

/** Everything the maker has settled once, and identifiers for new rows. */
export async function openSettings() {
  const [scales, containers, drops] = await Promise.all([openScales(), openContainers(), openDrops()]);
  return { scales, containers, drops, blankIds: { scales: crypto.randomUUID(), containers: crypto.randomUUID() } };
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
    case "units":
      await saveUnits(database(), currentMakerId(), form);
      return null;
    case "drops": {
      const message = await weighDrops(form.drops);
      return message === null ? null : { form, rows: [], message };
    }
    case "scales":
    case "containers": {
      const rows = await (form.intent === "scales" ? saveScales : saveContainers)(form.rows);
      return rows.length === 0 ? null : { form, rows, message: null };
    }
  }
}
