import type { BatchEntry } from "@tensidrum/core/process";
import { listContainers } from "../../db/containers/queries.server";
import { batchIdOf, clearSeason, loadSeasonVersions } from "../../db/demo/loadSeasonVersions.server";
import {
  curtainCall,
  greenRoom,
  seasonBatches,
  seasonPractice,
  seasonProduct,
  seasonRounds,
  type SeasonBatch,
  type SeasonPractice,
} from "../../db/demo/season";
import { stableUuid } from "../../db/demo/stableUuid";
import { workshop } from "../../db/demo/workshop";
import { listVersions } from "../../db/formulas/queries.server";
import { listPlannedChecks } from "../../db/watch/queries.server";
import { planBatchOn } from "../../db/planning/queries.server";
import { atWorkplace, currentMakerId, database, rightNow, workplace, zoneOfMachine, type AppState } from "../../db/workplace.server";
import { begin, openBegin } from "../bench/begin/begin.server";
import { noSize } from "../bench/begin/batchSize";
import { plannedBatch } from "../bench/batch/stored.server";
import { keepWish } from "../bench/cost/cost.server";
import { keepRun, drawnPractice } from "../bench/practice/practice.server";
import { takeEntries } from "../bench/queue/takeEntries.server";
import { changeProduct } from "../compare/products/product.server";
import { readingFields, type TypedReadings } from "../compare/readings/fields";
import { changeRounds } from "../compare/rounds/rounds.server";
import { keepLabel, openLabel } from "../fill/label/label.server";
import { here } from "../frame/dates.server";
import { changeWatch } from "../watch/keepCheck.server";
import { keepTest } from "../watch/lather/lather.server";
import type { TypedWatch } from "../watch/watchForms.server";
import { playBatch } from "./playBatch";
import { playPractice } from "./playPractice";

const [HOUR, DAY] = [3_600_000, 86_400_000];
const nothingRead = Object.fromEntries(readingFields.map(({ field }) => [field, ""])) as TypedReadings;
const KEPT = { container: "Sample jar", grams: 30 } as const;

/** Eight weeks of the wardrobe workshop, laid in by the application's own services at the moments they tell. */
export async function loadSeason(state: AppState): Promise<void> {
  const now = new Date();
  const at = <Result>(moment: Date, job: () => Result): Result =>
    atWorkplace({ ...state, makerId: workshop.id, zone: zoneOfMachine(), clock: () => moment }, job);
  await clearSeason(state.db);
  await loadSeasonVersions(state.db, now);
  for (const spec of seasonBatches) {
    const begun = begunAt(now, spec.hoursAgo);
    await at(begun, () => makeBatch(spec));
    for (const [nth, look] of (spec.looks ?? []).entries()) {
      await at(new Date(begun.getTime() + look.daysAfter * DAY), () => lookAt(spec, look, nth));
    }
  }
  for (const spec of seasonPractice) await at(new Date(now.getTime() - spec.daysAgo * DAY), () => practise(spec));
  await at(now, layTheRest);
}

/** Played through before it was made, on the simulated instruments; its score is kept. */
async function practise(spec: SeasonPractice): Promise<void> {
  const { formula, number, seed, daysAgo } = spec;
  const wanted = { formulaId: formula.id, number };
  const entries = playPractice(await drawnPractice(wanted, seed), rightNow(), spec);
  await keepRun(wanted, { id: stableUuid(`season practice ${formula.name} ${daysAgo}`), seed, entries });
}

/** A batch of an earlier day was begun in its morning; one of today so many hours ago. */
function begunAt(now: Date, hoursAgo: number): Date {
  if (hoursAgo < 24) return new Date(now.getTime() - hoursAgo * HOUR);
  const day = new Date(now.getTime() - Math.floor(hoursAgo / 24) * DAY);
  day.setHours(8 + (hoursAgo % 24), 10 * (hoursAgo % 5), 0, 0);
  return day;
}

/** @throws Error where the application refuses what the season does */
function must(problems: readonly { readonly message: string }[], what: string): void {
  if (problems.length > 0) throw new Error(`The season's ${what}: ${problems.map(({ message }) => message).join(" ")}`);
}

async function makeBatch(spec: SeasonBatch): Promise<void> {
  const wanted = { formulaId: spec.formula.id, number: spec.number };
  const { items, underWay } = await openBegin(wanted, String(spec.grams));
  const form = { id: batchIdOf(spec.key), grams: String(spec.grams), size: noSize, lots: lotsOf(spec), tares: {} };
  // What the maker is making of it just now stays beside it.
  const seen = { seen: items.map(({ id }) => id), another: underWay.map(({ id }) => id) };
  must(await begin(wanted, { ...form, ...seen }), spec.key);
  const { plan } = await plannedBatch(form.id);
  const played = playBatch(plan, rightNow(), spec);
  const entries = spec.bottles === undefined ? played : [...played, ...(await filled(spec, played))];
  // Nothing of it is in the future for the one who enters it.
  const last = new Date(entries.at(-1)?.at ?? 0);
  const { refused } = await atWorkplace({ ...workplace(), clock: () => last }, () => takeEntries(form.id, entries, 0));
  must(
    refused.map(({ why }) => ({ message: why })),
    spec.key,
  );
  for (const [atOnce, oneMinute, fiveMinutes] of spec.foam ?? []) {
    const typed = { id: crypto.randomUUID(), way: "shake", bubbles: "fine", latherSeconds: "", rinseSeconds: "", note: "" } as const;
    const felt = { foamGrams: "", foamMillilitres: "", slip: "", rinse: "", afterFeel: "", scent: "" } as const;
    const heights = { atOnce: String(atOnce), oneMinute: String(oneMinute), fiveMinutes: String(fiveMinutes) };
    must(await atWorkplace({ ...workplace(), clock: () => last }, () => keepTest(form.id, { ...typed, ...felt, ...heights })), spec.key);
  }
}

/** The lots that were chosen by hand, by the line they are weighed in. */
function lotsOf({ formula, lots = {} }: SeasonBatch): Readonly<Record<string, string>> {
  const chosen = Object.entries(lots).map(([material, code]) => [
    stableUuid(`${formula.name} ${material}`),
    stableUuid(`lot ${material} ${code}`),
  ]);
  return Object.fromEntries(chosen) as Readonly<Record<string, string>>;
}

/** Its bottles for use, and one jar that is kept. */
async function filled({ bottles }: SeasonBatch, played: readonly BatchEntry[]): Promise<readonly BatchEntry[]> {
  if (bottles === undefined) return [];
  const containers = await listContainers(database(), currentMakerId());
  let minutes = 5;
  const head = () => {
    minutes += 2;
    return { id: crypto.randomUUID(), at: new Date(Date.parse(played.at(-1)?.at ?? "") + minutes * 60_000).toISOString() };
  };
  const rowOf = (id: string, name: string, count: number, grams: number) => {
    const container = containers.find((one) => one.name === name);
    if (container === undefined) throw new Error(`The demo has no container called ${name}`);
    return { id, container: container.id, name, type: container.type, count, grams, tareGrams: null } as const;
  };
  const rows = [
    { ...rowOf("bottles", bottles.container, bottles.count, bottles.grams), use: "use" },
    { ...rowOf("kept", KEPT.container, 1, KEPT.grams), use: "retained" },
  ] as const;
  return [
    { ...head(), kind: "fill-planned", filling: rows, density: { gramsPerMl: 1.02, source: "estimate" } },
    ...rows.flatMap(({ id: row, count, grams }) =>
      Array.from({ length: count }, (_, at): BatchEntry => ({ ...head(), kind: "container-filled", row, number: at + 1, grams })),
    ),
  ];
}

/** One look at the sample at room temperature, and what was planned before it and never done is left out with why. */
async function lookAt({ key, looks = [] }: SeasonBatch, look: NonNullable<SeasonBatch["looks"]>[number], nth: number): Promise<void> {
  const batchId = batchIdOf(key);
  const today = here().format("YYYY-MM-DD");
  const open = (await listPlannedChecks(database(), currentMakerId(), batchId)).filter(
    ({ checkId, skippedBecause, storage }) => checkId === null && skippedBecause === "" && storage === "room",
  );
  const due = open.filter(({ dueOn }) => dueOn <= today);
  const planned = due.at(-1) ?? open[0];
  for (const { id } of due.slice(0, -1)) {
    must(await changeWatch(batchId, { ...nothingSeen(), intent: "skip", planned: id, why: "On tour." }), key);
  }
  const { ph, clarity = "", colour = "", signs = [], note = "" } = look;
  const id = stableUuid(`season look ${key} ${nth} of ${looks.length}`);
  const smell = signs.length > 0 ? "different" : "as at the start";
  const room = BENCH_ROOM_C[nth % BENCH_ROOM_C.length] ?? "";
  const noted = { id, ph, clarity, colour, smell, note, room, planned: planned?.id ?? "" } as const;
  const seen: TypedWatch = { ...nothingSeen(), ...noted, signs: [...signs] };
  must(await changeWatch(batchId, seen), key);
}

/** The wardrobe workshop on the days of its looks. */
const BENCH_ROOM_C = ["21", "22.5", "24"] as const;

const nothingSeen = (): TypedWatch => ({
  intent: "keep",
  ...{ id: crypto.randomUUID(), samples: [], storage: "room", planned: "", ph: "", thickness: "", by: "Pa·s", word: "" },
  ...{
    beadMm: "",
    beadDensity: "",
    jarMm: "",
    fallMm: "",
    photo: undefined,
    lab: "",
    haze: "",
    room: "",
    clarity: "",
    colour: "",
    smell: "",
  },
  ...{ sediment: "", signs: [], note: "", on: "", why: "", alarm: "" },
});

/** The product to come close to, what was learned of the rounds, a label, a price, and what is planned next. */
async function layTheRest(): Promise<void> {
  const { id, name, printed, readings } = seasonProduct;
  const bought = { price: "5.90", content: "300", container: "pump", dryMatter: "", clarity: "clear", note: "", photo: undefined } as const;
  must(await changeProduct({ ...nothingRead, ...readings, ...bought, intent: "save", id, name, printed }), "product");
  const versions = await listVersions(database(), currentMakerId(), greenRoom.id);
  for (const { number, ...read } of seasonRounds) {
    const version = versions.find((one) => one.number === number)?.id ?? "";
    const typed = { ...nothingRead, ...read, intent: "readings", version, material: "", to: "" } as const;
    const done = await changeRounds(greenRoom.id, typed);
    must("problems" in done ? done.problems : [], "rounds");
  }
  const labelled = batchIdOf("green room 1");
  const { design } = await openLabel(labelled, { row: "bottles", template: "" });
  const refused = await keepLabel(labelled, "bottles", design);
  must(refused === null ? [] : [{ message: refused }], "label");
  must(await keepWish(labelled, { label: "0.12", margin: "35", tax: "", shop: "" }), "price");
  const newest = (await listVersions(database(), currentMakerId(), curtainCall.id)).find(({ state }) => state === "final");
  await planBatchOn(database(), currentMakerId(), {
    ...{ id: stableUuid("season plan"), versionId: newest?.id ?? "", grams: 600, note: "for the last week of the run" },
    plannedOn: here().add(6, "day").format("YYYY-MM-DD"),
  });
}
