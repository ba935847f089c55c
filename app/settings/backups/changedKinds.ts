import { shownFormulaName } from "@tensidrum/core/formula";
import type { KindDifference } from "../../../db/backup/restoreBackup.server";

/** What a maker calls what lies in several tables. */
const GROUPS: readonly { readonly name: string; readonly kinds: readonly string[] }[] = [
  { name: "Formulas", kinds: ["formulas"] },
  {
    name: "Versions with their lines",
    kinds: ["versions", "version_origins", "phases", "lines", "line_lots", "acknowledgements", "price_wishes"],
  },
  { name: "Batches", kinds: ["batches", "batch_lots", "batch_containers", "given_containers"] },
  { name: "Entries of batches", kinds: ["batch_entries"] },
  { name: "Photos", kinds: ["batch_photos", "check_photos"] },
  {
    name: "Checks of batches",
    kinds: ["planned_checks", "checks", "answered_alarms", "lather_tests", "blind_tests", "blind_sheets", "patch_tests"],
  },
  { name: "Products to come close to", kinds: ["products", "product_photos"] },
  { name: "Readings of rounds", kinds: ["round_readings", "suggestions"] },
  { name: "Planned batches", kinds: ["planned_batches"] },
  { name: "Practice runs", kinds: ["practice_runs"] },
  { name: "Labels", kinds: ["labels"] },
  { name: "Lots", kinds: ["lots", "lot_sources"] },
  { name: "Prices of suppliers", kinds: ["offers"] },
  { name: "Movements of the stock", kinds: ["movements"] },
  { name: "Own materials and values", kinds: ["materials", "own_facts"] },
  { name: "Scent blends", kinds: ["scents", "scent_rounds", "scent_counts"] },
  { name: "Salt samples", kinds: ["salt_samples"] },
  { name: "Scales, containers and settings", kinds: ["makers", "scales", "containers"] },
];

export interface ChangedGroup {
  readonly name: string;
  readonly here: number;
  readonly inBackup: number;
  readonly added: number;
  readonly changed: number;
  readonly removed: number;
  readonly removedNames: readonly string[];
}

export interface ChangedKinds {
  readonly groups: readonly ChangedGroup[];
  /** Nothing a maker made stands here. */
  readonly isEmptyHere: boolean;
  readonly isSame: boolean;
}

/** Settings stand in every place. */
const ALWAYS_THERE = ["makers", "scales", "containers"];

/** What would change, by what a maker calls it. */
export function changedKinds(kinds: readonly KindDifference[]): ChangedKinds {
  const groups = GROUPS.flatMap(({ name, kinds: names }): readonly ChangedGroup[] => {
    const of = kinds.filter(({ kind }) => names.includes(kind));
    const sum = (key: "here" | "inBackup" | "added" | "changed" | "removed") => of.reduce((total, one) => total + one[key], 0);
    if (sum("here") + sum("inBackup") === 0) return [];
    const removedNames = of.flatMap((one) => one.removedNames.map(shownFormulaName));
    return [
      {
        name,
        here: sum("here"),
        inBackup: sum("inBackup"),
        added: sum("added"),
        changed: sum("changed"),
        removed: sum("removed"),
        removedNames,
      },
    ];
  });
  return {
    groups,
    isEmptyHere: kinds.every(({ kind, here }) => here === 0 || ALWAYS_THERE.includes(kind)),
    isSame: groups.every(({ added, changed, removed }) => added + changed + removed === 0),
  };
}
