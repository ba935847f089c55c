import { getTableColumns, type Column } from "drizzle-orm";
import { getTableConfig, type PgTable } from "drizzle-orm/pg-core";
import { acknowledgements } from "../acknowledgements/schema";
import { batchContainers, batchEntries, batches, batchLots, batchPhotos, givenContainers } from "../batches/schema";
import { containers } from "../containers/schema";
import { formulas, lineLots, lines, phases, versionOrigins, versions } from "../formulas/schema";
import { lots, lotSources, movements } from "../inventory/schema";
import { labels } from "../labels/schema";
import { makers } from "../makers/schema";
import { materials, ownFacts } from "../materials/schema";
import { plannedBatches } from "../planning/schema";
import { practiceRuns } from "../practice/schema";
import { offers, priceWishes } from "../prices/schema";
import { saltSamples } from "../saltSamples/schema";
import { scales } from "../scales/schema";
import { productPhotos, products, roundReadings, suggestions } from "../comparison/schema";
import { answeredAlarms, blindSheets, blindTests, checkPhotos, checks, latherTests, patchTests, plannedChecks } from "../watch/schema";
import { scentCounts, scentRounds, scents } from "../scents/schema";

export interface BackupColumn {
  readonly name: string;
  readonly type: string;
  /** It names a material: one of the library is told by its slug, since its identifier differs from machine to machine. */
  readonly isMaterial: boolean;
}

/** One table of what a maker owns. */
export interface BackupKind {
  readonly name: string;
  /** What tells one row from another. */
  readonly key: readonly string[];
  /** Names the maker; it is not written, and is whoever restores. */
  readonly owner: string;
  readonly columns: readonly BackupColumn[];
  /** What a person calls a row by; null where it has no name of its own. */
  readonly calledBy: string | null;
}

/** Who works where and when the demo was settled belongs to the machine, not to the maker. */
const OF_THE_MACHINE = ["id", "demo_decided_at", "created_at"];
/** What the database knows from other rows and keeps itself. */
const KEPT_ITSELF = ["is_done"];

function columnOf(column: Column): BackupColumn {
  const type = column.getSQLType().replace(/^bigserial$/, "bigint");
  return { name: column.name, type, isMaterial: column.name === "material_id" || column.name === "based_on_id" };
}

function kind(table: PgTable, calledBy: string | null = null): BackupKind {
  const { name, primaryKeys } = getTableConfig(table);
  const columns = Object.values(getTableColumns(table)) as readonly Column[];
  const single = columns.filter(({ primary }) => primary).map((column) => column.name);
  const key = primaryKeys[0]?.columns.map((column) => column.name) ?? single;
  const isTold = ({ name: column, generated }: Column) => column !== "maker_id" && generated === undefined && !KEPT_ITSELF.includes(column);
  const others = columns.filter(isTold).map(columnOf);
  return { name, key, owner: "maker_id", columns: others, calledBy };
}

/** What the maker settled about themselves: one row that is always there. */
export const settingsKind: BackupKind = (() => {
  const { columns, ...rest } = kind(makers);
  return { ...rest, owner: "id", columns: columns.filter(({ name }) => !OF_THE_MACHINE.includes(name)) };
})();

/** Everything of a maker, what others refer to first. */
export const backupKinds: readonly BackupKind[] = [
  settingsKind,
  kind(materials, "name"),
  kind(ownFacts),
  kind(scales, "name"),
  kind(containers, "name"),
  kind(saltSamples),
  kind(scents, "name"),
  kind(scentRounds),
  kind(scentCounts),
  kind(lots, "code"),
  kind(lotSources),
  kind(offers, "supplier"),
  kind(formulas, "name"),
  kind(versions),
  kind(versionOrigins),
  kind(phases),
  kind(lines),
  kind(lineLots),
  kind(acknowledgements),
  kind(priceWishes),
  kind(labels),
  kind(products, "name"),
  kind(productPhotos),
  kind(roundReadings),
  kind(suggestions),
  kind(batches, "code"),
  kind(batchLots),
  kind(batchContainers),
  kind(givenContainers),
  kind(batchEntries),
  kind(batchPhotos),
  kind(plannedBatches),
  kind(practiceRuns),
  kind(plannedChecks),
  kind(checks),
  kind(checkPhotos),
  kind(answeredAlarms),
  kind(patchTests),
  kind(latherTests),
  kind(blindTests),
  kind(blindSheets),
  kind(movements),
];
