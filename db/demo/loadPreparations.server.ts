import { stockMaterial } from "@tensidrum/core/acidity";
import { blendMaterial, madeUpWater, scentBlend } from "@tensidrum/core/formula";
import type { Material, MaterialsBySlug } from "@tensidrum/core/library";
import dayjs from "dayjs";
import type { Executor } from "../client.server";
import { listContainers, saveContainer } from "../containers/queries.server";
import { findMaker, saveUnits } from "../makers/queries.server";
import { findMaterial, insertOwnMaterial, saveOwnFacts } from "../materials/queries.server";
import type { WayOfMaking } from "../materials/schema";
import { addRound, insertScent, keepRound } from "../scents/writes.server";
import { findScent } from "../scents/queries.server";
import { addMovement, receiveLot } from "../inventory/writes.server";
import { findLot } from "../inventory/queries.server";
import { demoContainers, demoCurrency, demoOwnFacts, demoScent, demoSolution, demoWater } from "./preparations";
import { stableUuid } from "./stableUuid";
import { workshop } from "./workshop";

interface Around {
  readonly idOfSlug: ReadonlyMap<string, string>;
  readonly materials: MaterialsBySlug;
}

/** Lays in what the workshop made, measured and settled itself. What stands there already stays as it is. */
export async function loadMadeHere(db: Executor, around: Around): Promise<void> {
  for (const [slug, facts] of Object.entries(demoOwnFacts)) {
    const found = await findMaterial(db, workshop.id, slug);
    if (found !== undefined && found.own === null) await saveOwnFacts(db, workshop.id, found.id, facts);
  }
  await laySolution(db, around);
  await layWater(db);
  await layScent(db, around);
  if ((await listContainers(db, workshop.id)).length === 0) {
    for (const container of demoContainers) {
      await saveContainer(db, workshop.id, { ...container, id: stableUuid(`container ${container.name}`) });
    }
  }
  const maker = await findMaker(db, workshop.id);
  if (maker?.currency === "") await saveUnits(db, workshop.id, { currency: demoCurrency, massUnit: maker.massUnit });
}

async function ownMaterial(db: Executor, facts: Material, madeAs: WayOfMaking): Promise<string> {
  const there = await findMaterial(db, workshop.id, facts.slug);
  if (there !== undefined) return there.id;
  const id = stableUuid(`made ${facts.slug}`);
  await insertOwnMaterial(db, workshop.id, { id, facts, basedOnId: null, madeAs });
  return id;
}

interface MadeLot {
  readonly materialId: string;
  readonly code: string;
  readonly grams: number;
  readonly madeDaysAgo: number;
  readonly keptDays: number;
  readonly note: string;
  readonly used: readonly (readonly [grams: number, daysAgo: number, note: string])[];
}

async function layLot(db: Executor, { materialId, code, grams, madeDaysAgo, keptDays, note, used }: MadeLot): Promise<void> {
  const id = stableUuid(`lot ${code}`);
  if ((await findLot(db, workshop.id, id)) !== undefined) return;
  const made = dayjs().subtract(madeDaysAgo, "day");
  const day = "YYYY-MM-DD";
  const words = { code, supplier: "", note };
  const lot = { id, materialId, ...words, assayPercent: null, packGrams: grams, price: null };
  await receiveLot(
    db,
    workshop.id,
    { ...lot, openedOn: made.format(day), endsOn: made.add(keptDays, "day").format(day) },
    stableUuid(`received ${code}`),
  );
  for (const [taken, , why] of used) {
    await addMovement(db, workshop.id, { lotId: id, movementId: stableUuid(`${code} ${why}`) }, () => ({
      kind: "use",
      grams: taken,
      note: why,
    }));
  }
}

async function laySolution(db: Executor, { materials }: Around): Promise<void> {
  const solute = materials.get(demoSolution.solute);
  if (solute === undefined) throw new Error(`The demo dissolves "${demoSolution.solute}", which the library does not hold`);
  const facts = stockMaterial(solute, demoSolution.strengthPercent, `${solute.slug}-${demoSolution.strengthPercent}-percent`);
  const materialId = await ownMaterial(db, facts, "solution");
  const { grams, madeDaysAgo, keptDays, used } = demoSolution;
  await layLot(db, { materialId, code: "S-25-1", grams, madeDaysAgo, keptDays, note: "", used });
}

async function layWater(db: Executor): Promise<void> {
  const { material, yieldGrams, daysOfLife, steps } = madeUpWater({ ...demoWater, slug: "birch-leaf-water" });
  const materialId = await ownMaterial(db, { ...material, handling: `${steps.join(" ")} ${material.handling}` }, "water");
  const note = `${demoWater.plantGrams} g of the plant in ${demoWater.waterGrams} g of water`;
  const { madeDaysAgo, used } = demoWater;
  await layLot(db, { materialId, code: "W-B-1", grams: yieldGrams, madeDaysAgo, keptDays: daysOfLife, note, used });
}

async function layScent(db: Executor, { idOfSlug, materials }: Around): Promise<void> {
  const { name, rounds, keptAs } = demoScent;
  const scentId = stableUuid(`scent ${name}`);
  if ((await findScent(db, workshop.id, scentId)) !== undefined) return;
  await insertScent(db, workshop.id, { id: scentId, name });
  for (const [at, { note, oils, daysAgo }] of rounds.entries()) {
    const roundId = stableUuid(`scent ${name} ${at}`);
    const dropOf = (slug: string): number => demoOwnFacts[slug]?.dropMilligrams ?? materials.get(slug)?.dropMilligrams ?? 0;
    const counts = oils.map(([material, count]) => ({
      materialId: idOfSlug.get(material) ?? "",
      count,
      dropMilligrams: dropOf(material),
    }));
    await addRound(db, workshop.id, scentId, {
      id: roundId,
      countedIn: "drops",
      note,
      counts,
      madeAt: dayjs().subtract(daysAgo, "day").toDate(),
    });
    if (at < rounds.length - 1) continue;
    const dropMilligrams = new Map(oils.map(([material]) => [material, dropOf(material)]));
    const trial = { countedIn: "drops", oils: oils.map(([material, count]) => ({ material, count })), dropMilligrams } as const;
    const facts = blendMaterial(scentBlend(trial, materials), { slug: "lakeside-evening-scent", name: keptAs });
    const free = (await findMaterial(db, workshop.id, facts.slug)) === undefined;
    if (free) await keepRound(db, workshop.id, roundId, { id: stableUuid(`made ${facts.slug}`), facts, basedOnId: null, madeAs: "scent" });
  }
}
