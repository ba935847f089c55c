import { assess, coreVersion } from "@tensidrum/core/assessment";
import { formulaOfDraft, noAim, nothingMeasured } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Database } from "./client.server";
import { demoFormulas } from "./demo/formulas";
import { workshop } from "./demo/workshop";
import * as acknowledgementQueries from "./acknowledgements/queries.server";
import * as formulaQueries from "./formulas/queries.server";
import * as formulaWrites from "./formulas/writes.server";
import { makers } from "./makers/schema";
import * as saltSampleQueries from "./saltSamples/queries.server";
import * as makerQueries from "./makers/queries.server";
import * as materialQueries from "./materials/queries.server";
import * as batchQueries from "./batches/queries.server";
import * as batchWrites from "./batches/writes.server";
import { labelFromTemplate } from "@tensidrum/core/packaging";
import * as planningQueries from "./planning/queries.server";
import * as practiceQueries from "./practice/queries.server";
import * as priceQueries from "./prices/queries.server";
import * as labelQueries from "./labels/queries.server";
import * as searchQueries from "./search/queries.server";
import * as comparisonQueries from "./comparison/queries.server";
import * as containerQueries from "./containers/queries.server";
import * as patchQueries from "./patchTests/queries.server";
import * as watchQueries from "./watch/queries.server";
import * as scaleQueries from "./scales/queries.server";
import * as scentQueries from "./scents/queries.server";
import * as scentWrites from "./scents/writes.server";
import { importShelf } from "./inventory/importShelf.server";
import { demoScent } from "./demo/preparations";
import { stableUuid } from "./demo/stableUuid";
import * as stockQueries from "./inventory/queries.server";
import * as stockWrites from "./inventory/writes.server";
import { freshDatabase } from "./testing/freshDatabase";

const stranger = { id: crypto.randomUUID(), name: "Somebody else" };
const ownMaterialId = crypto.randomUUID();
const saltSampleBase = "ab".repeat(32);
const saltSample = { id: crypto.randomUUID(), saltPercent: 1.5, viscosity: 0.6, unit: "Pa·s", said: "" } as const;

const container: containerQueries.OwnContainer = {
  ...{ id: crypto.randomUUID(), name: "Own bottle", type: "bottle", note: "", pieces: 10, priceEach: null, tareGrams: null },
  ...{ nominalMl: 100, brimfulMl: 112, headspaceMl: 4, dipTubeMl: 0, labelWidthMm: null, labelHeightMm: null },
};
const practiceRun = { id: crypto.randomUUID(), seed: "lakeside", points: 71, doses: 3, minutes: 24, endedAt: new Date() };
const labelOfNothing = labelFromTemplate("small", { widthMm: 50, heightMm: 20, netGrams: 50 });
const filled = { rowId: "bottles", containerId: container.id, name: "Own bottle", use: "use", count: 3, grams: 300 } as const;

let db: Database;
let close: () => Promise<void>;
let glycerinId: string;
let lotId: string;
let closedLotId: string;

/** Everything the first maker owns, as the database has it. */
async function possessions() {
  const tables = [
    "formulas",
    "versions",
    "phases",
    "lines",
    "line_lots",
    "scales",
    "containers",
    "materials",
    "own_facts",
    "lots",
    "movements",
    "batches",
    "batch_lots",
    "batch_entries",
    "batch_containers",
    "given_containers",
    "labels",
    "price_wishes",
    "planned_batches",
    "practice_runs",
    "offers",
    "lot_sources",
    "lot_balances",
    "planned_checks",
    "checks",
    "lather_tests",
    "blind_tests",
    "blind_sheets",
    "check_photos",
    "patch_tests",
    "answered_alarms",
    "products",
    "product_photos",
    "round_readings",
    "suggestions",
    "version_origins",
    "feeds",
    "batch_photos",
    "salt_samples",
    "scents",
    "scent_rounds",
    "scent_counts",
  ];
  const counts = [];
  for (const table of tables) {
    const { rows } = await db.execute(
      `select md5(string_agg(t::text, '|' order by t::text)) as sum from ${table} t where maker_id = '${workshop.id}'`,
    );
    counts.push(rows[0]?.sum);
  }
  return counts;
}

beforeAll(async () => {
  const fresh = await freshDatabase({ demo: "once" });
  ({ db, close } = fresh);
  await db.insert(makers).values(stranger);
  const [glycerin] = await materialQueries.materialsBySlug(db, workshop.id, ["glycerin"]);
  if (glycerin === undefined) throw new Error("no glycerin");
  const facts = { ...glycerin.facts, slug: "own-glycerin", name: "Own glycerin" };
  await materialQueries.insertOwnMaterial(db, workshop.id, { id: ownMaterialId, facts, basedOnId: glycerin.id });
  glycerinId = glycerin.id;
  const [lot] = await stockQueries.lotsOfMaterial(db, workshop.id, glycerinId);
  if (lot === undefined) throw new Error("no glycerin on the demo's shelf");
  lotId = lot.id;
  await containerQueries.saveContainer(db, workshop.id, container);
  await saltSampleQueries.addSaltSample(db, workshop.id, saltSampleBase, saltSample);
  await planningQueries.planBatchOn(db, workshop.id, plan);
  await practiceQueries.keepPracticeRun(db, workshop.id, plan.versionId, practiceRun);
  await priceQueries.saveOffer(db, workshop.id, { ...offer, materialId: glycerinId });
  closedLotId = crypto.randomUUID();
  await stockWrites.receiveLot(db, workshop.id, { ...ownLot(), id: closedLotId, code: "closed" }, crypto.randomUUID());
  const work = () => ({ kind: "use", grams: -1, note: "" }) as const;
  const made = { material: null, lot: { ...ownLot(), code: "made" }, movementId: crypto.randomUUID() };
  await stockWrites.shelveMadeLot(db, workshop.id, { ...made, taken: [{ lotId, movementId: crypto.randomUUID(), work }] });
  await batchWrites.beginBatch(db, workshop.id, batch(batchId, "GR-1"), [{ lotId, line: "a line", grams: 1 }]);
  await watchQueries.planChecks(db, workshop.id, batchId, [plannedCheck]);
  await watchQueries.keepCheck(db, workshop.id, look, { picture: Buffer.from("x"), width: 1, height: 1 });
  await patchQueries.beginPatchTest(db, workshop.id, patchTest);
  await comparisonQueries.saveProduct(db, workshop.id, product, { picture: Buffer.from("x"), width: 1, height: 1 });
  await comparisonQueries.saveRoundReadings(db, workshop.id, { versionId: finalVersionId, ph: 5 });
  await comparisonQueries.keepSuggestion(db, workshop.id, suggestion);
  await formulaWrites.keepOrigin(db, workshop.id, trialOrigin);
  await makerQueries.keepFeed(db, workshop.id, "a".repeat(64));
  await watchQueries.keepLather(db, workshop.id, lather);
  await watchQueries.answerAlarm(db, workshop.id, alarmAnswer);
  await batchWrites.beginBatch(db, workshop.id, batch(blindTest.secondBatchId, "GR-2"), []);
  await watchQueries.beginBlindTest(db, workshop.id, blindTest);
  await batchWrites.addPhoto(db, workshop.id, batchId, {
    photo: { id: photoId, picture: Buffer.from("x"), width: 1, height: 1 },
    decide: () => ({ entries: [dosed], lots: new Map(), filled: [filled], finishedAt: new Date() }),
  });
});

const agent = { name: "citric acid 20 %", line: null, kind: "acid", molarMass: 192.12, pKas: [3.13], strengthPercent: 20 } as const;
const dosed = { id: crypto.randomUUID(), at: "2026-11-26T10:00:00Z", kind: "dosed", step: "ph", agent, grams: 1 } as const;

afterAll(async () => close());

const [greenRoom, propRoom] = demoFormulas;
if (greenRoom === undefined || propRoom === undefined) throw new Error("the demo has changed");
const finalVersionId = greenRoom.versions[0]?.id ?? "";
const draftId = propRoom.versions[0]?.id ?? "";

function content(): formulaWrites.DraftContent {
  const file = formulaOfDraft({ name: "Taken", profile: "body-wash", batchGrams: 1, scales: [], phases: [{ id: "A" }], lines: [] });
  const { name, profile, batchGrams } = file;
  return {
    name,
    profile,
    batchGrams,
    aim: noAim,
    measured: nothingMeasured,
    phases: [{ letter: "A", title: "", temperatureC: null }],
    lines: [],
    assessment: assess(file, new Map()),
    coreVersion,
  };
}

const plan = { id: crypto.randomUUID(), versionId: finalVersionId, plannedOn: "2027-01-01", grams: 100, note: "" };
const offer = { id: crypto.randomUUID(), supplier: "herb stall", packGrams: 100, price: 1, leastPacks: 1 };

const scentId = stableUuid(`scent ${demoScent.name}`);
const roundId = stableUuid(`scent ${demoScent.name} 0`);
const [batchId, photoId] = [crypto.randomUUID(), crypto.randomUUID()];
const batch = (id: string, code: string): batchWrites.NewBatch => ({
  ...{ id, code, versionId: finalVersionId, steps: [], vessels: [], entries: [], coreVersion },
  formula: formulaOfDraft({ name: "Taken", profile: "body-wash", batchGrams: 1, scales: [], phases: [], lines: [] }),
});
const plannedCheck: watchQueries.NewPlannedCheck = { id: crypto.randomUUID(), storage: "room", title: "1 week", dueOn: "2027-01-01" };
const look: watchQueries.NewCheck = {
  ...{ id: crypto.randomUUID(), batchId, storage: "room", plannedId: plannedCheck.id, lookedAt: new Date(), ph: 5, viscosity: null },
  ...{ said: "", clarity: "clear", colour: "", smell: "", sedimentMm: null, signs: [], note: "" },
  ...{ labL: 80, labA: 1, labB: 20, hazePercent: null, roomC: 21 },
};
const product: comparisonQueries.NewProduct = {
  id: crypto.randomUUID(),
  name: "The one the guests like",
  known: { pins: {}, onePercentAfter: null },
};
const trialOrigin = { versionId: draftId, fromVersionId: finalVersionId };
const suggestion: comparisonQueries.NewSuggestion = {
  ...{ versionId: draftId, fromVersionId: finalVersionId, material: "glycerin", fromPercent: 2, toPercent: 3 },
  ...{ source: "own", expected: [], sentence: "glycerin 2 to 3" },
};
const patchTest: patchQueries.NewPatchTest = { id: crypto.randomUUID(), batchId, tester: 1, putOnAt: new Date() };
const blindTest: watchQueries.NewBlindTest = {
  ...{ id: crypto.randomUUID(), kind: "paired", firstBatchId: batchId, secondBatchId: crypto.randomUUID(), question: "Which one?" },
  sheets: [{ tester: 1, codes: ["100", "200"], cups: ["A", "B"] }],
};
const alarmAnswer: watchQueries.NewAlarmAnswer = {
  ...{ batchId, what: "ph", because: "fetched back", answeredAt: new Date(), lookedAt: new Date() },
};

const lather: watchQueries.NewLatherTest = {
  ...{
    id: crypto.randomUUID(),
    batchId,
    testedAt: new Date(),
    atOnceMm: 60,
    afterOneMinuteMm: 52,
    afterFiveMinutesMm: 45,
    bubbles: "fine",
  },
};
const refused = (work: Promise<unknown>) => work.then((answer) => answer ?? "taken over").catch(() => undefined);
const ownLot = () => ({
  ...{ id: crypto.randomUUID(), materialId: ownMaterialId, code: "mine", supplier: "", note: "", packGrams: 1 },
  ...{ assayPercent: null, price: null, openedOn: null, endsOn: null },
});

/** Each query of db/, asked by the stranger for what the first maker owns; what it must answer then. */
const asked: Record<string, () => Promise<unknown>> = {
  listFormulas: async () => formulaQueries.listFormulas(db, stranger.id, { most: 50 }),
  countFormulas: async () => ((await formulaQueries.countFormulas(db, stranger.id)) === 0 ? [] : ["some"]),
  findVersion: async () => formulaQueries.findVersion(db, stranger.id, { formulaId: greenRoom.id }),
  findAssessment: async () => formulaQueries.findAssessment(db, stranger.id, finalVersionId),
  listVersions: async () => formulaQueries.listVersions(db, stranger.id, greenRoom.id),
  findVersions: async () => formulaQueries.findVersions(db, stranger.id, [{ formulaId: greenRoom.id, number: 1 }]),
  listNewestVersions: async () => formulaQueries.listNewestVersions(db, stranger.id, [greenRoom.id], 5),
  listContents: async () =>
    (await formulaQueries.listContents(db, stranger.id, [finalVersionId])).flatMap(({ phases, lines }) => [...phases, ...lines]),
  listPhases: async () => formulaQueries.listPhases(db, stranger.id, finalVersionId),
  listLines: async () => formulaQueries.listLines(db, stranger.id, finalVersionId),
  listScales: async () => scaleQueries.listScales(db, stranger.id),
  materialsById: async () => materialQueries.materialsById(db, stranger.id, [ownMaterialId]),
  materialsBySlug: async () => materialQueries.materialsBySlug(db, stranger.id, ["own-glycerin"]),
  listMaterials: async () => (await materialQueries.listMaterials(db, stranger.id)).filter(({ id }) => id === ownMaterialId),
  listChoosable: async () => (await materialQueries.listChoosable(db, stranger.id)).filter(({ id }) => id === ownMaterialId),
  materialsStamp: async () =>
    (await materialQueries.materialsStamp(db, stranger.id)).startsWith(`${referenceLibrary.length}-`) ? [] : ["counts another's material"],
  saveDraft: async () => formulaWrites.saveDraft(db, stranger.id, { versionId: draftId, revision: 0 }, content()),
  saveProcess: async () => formulaWrites.saveProcess(db, stranger.id, finalVersionId, null),
  finaliseDraft: async () => {
    const { assessment } = content();
    const snapshot = formulaOfDraft({ name: "Taken", profile: "body-wash", batchGrams: 1, scales: [], phases: [], lines: [] });
    return formulaWrites.finaliseDraft(
      db,
      stranger.id,
      { versionId: draftId, revision: 0 },
      { note: "", snapshot, assessment, coreVersion },
    );
  },
  insertDraftFrom: async () => formulaWrites.insertDraftFrom(db, stranger.id, { parentId: finalVersionId, versionId: crypto.randomUUID() }),
  withdrawDemoBatch: async () => ((await batchWrites.withdrawDemoBatch(db, stranger.id, batchId)) ? "taken away" : []),
  addToNote: async () => ((await formulaWrites.addToNote(db, stranger.id, draftId, "Mine now.")) ? "written" : []),
  keepOrigin: async () => refused(formulaWrites.keepOrigin(db, stranger.id, { versionId: finalVersionId, fromVersionId: draftId })),
  listOrigins: async () => formulaQueries.listOrigins(db, stranger.id, greenRoom.id),
  deleteDraft: async () => formulaWrites.deleteDraft(db, stranger.id, draftId),
  deleteFormula: async () => formulaWrites.deleteFormula(db, stranger.id, greenRoom.id),
  replaceScales: async () => {
    await scaleQueries.replaceScales(db, stranger.id, []);
    return [];
  },
  insertFormula: async () =>
    formulaWrites
      .insertFormula(db, stranger.id, { formulaId: greenRoom.id, versionId: crypto.randomUUID() }, content())
      .then(() => "taken over")
      .catch(() => undefined),
  insertOwnMaterial: async () => {
    const [own] = await materialQueries.materialsById(db, workshop.id, [ownMaterialId]);
    if (own === undefined) throw new Error("the first maker's material is gone");
    return materialQueries
      .insertOwnMaterial(db, stranger.id, { id: ownMaterialId, facts: own.facts, basedOnId: null })
      .then(() => "taken over")
      .catch(() => undefined);
  },
  insertOwnMaterials: async () => {
    const own = {
      id: ownMaterialId,
      facts: (await materialQueries.materialsById(db, workshop.id, [ownMaterialId]))[0]!.facts,
      basedOnId: null,
    };
    return refused(materialQueries.insertOwnMaterials(db, stranger.id, [own]));
  },
  findMaterial: async () => materialQueries.findMaterial(db, stranger.id, "own-glycerin"),
  listOwnMaterials: async () => materialQueries.listOwnMaterials(db, stranger.id),
  listOwnFacts: async () => materialQueries.listOwnFacts(db, stranger.id),
  updateOwnMaterial: async () => {
    const [glycerin] = await materialQueries.materialsById(db, stranger.id, [glycerinId]);
    return materialQueries.updateOwnMaterial(db, stranger.id, ownMaterialId, { ...glycerin!.facts, slug: "own-glycerin", name: "Taken" });
  },
  deleteOwnMaterial: async () => materialQueries.deleteOwnMaterial(db, stranger.id, ownMaterialId),
  saveOwnFacts: async () => refused(materialQueries.saveOwnFacts(db, stranger.id, ownMaterialId, { maxTemperatureC: 1 })),
  // The library is everyone's, and so is what changed in it.
  listLibraryChanges: async () => materialQueries.listLibraryChanges(db, 10),
  listLineLots: async () => formulaQueries.listLineLots(db, stranger.id, finalVersionId),
  lotsById: async () => stockQueries.lotsById(db, stranger.id, [lotId]),
  findLotWithMaterial: async () => stockQueries.findLotWithMaterial(db, stranger.id, lotId),
  shelveMadeLot: async () => {
    const work = () => ({ kind: "use", grams: -1, note: "" }) as const;
    const taken = [{ lotId, movementId: crypto.randomUUID(), work }];
    return stockWrites.shelveMadeLot(db, stranger.id, { material: null, lot: ownLot(), movementId: crypto.randomUUID(), taken });
  },
  listBatchesUnderWay: async () => batchQueries.listBatchesUnderWay(db, stranger.id, 10),
  listFinished: async () => batchQueries.listFinished(db, stranger.id, { most: 10 }),
  listAllBatches: async () => batchQueries.listAllBatches(db, stranger.id),
  movementsAfter: async () => stockQueries.movementsAfter(db, stranger.id, 0, 10),
  findBatch: async () => batchQueries.findBatch(db, stranger.id, batchId),
  listOpenBatchesOf: async () => batchQueries.listOpenBatchesOf(db, stranger.id, { formulaId: greenRoom.id, number: 1 }),
  listOverdrawnLots: async () => batchQueries.listOverdrawnLots(db, stranger.id, batchId),
  changeShares: async () =>
    (await batchWrites.changeShares(db, stranger.id, batchId, () => ({ shares: [], lots: new Map() }))) ? "changed" : undefined,
  findLastFinished: async () => batchQueries.findLastFinished(db, stranger.id, finalVersionId),
  findLastTuned: async () => batchQueries.findLastTuned(db, stranger.id, finalVersionId),
  listCountingEntries: async () => (await batchQueries.listCountingEntries(db, stranger.id, batchId)).entries,
  listEntries: async () => batchQueries.listEntries(db, stranger.id, batchId),
  listBatchLots: async () => batchQueries.listBatchLots(db, stranger.id, batchId),
  codesOfBatches: async () => batchQueries.codesOfBatches(db, stranger.id, "GR-"),
  beginBatch: async () => refused(batchWrites.beginBatch(db, stranger.id, batch(crypto.randomUUID(), "mine"), [])),
  addEntries: async () =>
    batchWrites.addEntries(db, stranger.id, batchId, () => ({ entries: [], lots: new Map(), filled: [], finishedAt: new Date() })),
  addPhoto: async () =>
    refused(
      batchWrites.addPhoto(db, stranger.id, batchId, {
        photo: { id: crypto.randomUUID(), picture: Buffer.from("x"), width: 1, height: 1 },
        decide: () => ({ entries: [], lots: new Map(), filled: [], finishedAt: null }),
      }),
    ),
  findPhoto: async () => batchQueries.findPhoto(db, stranger.id, { batchId, photoId }),
  listHolding: async () => batchQueries.listHolding(db, stranger.id, "glycerin", 10),
  listFillable: async () => batchQueries.listFillable(db, stranger.id, { most: 10 }),
  listOpenBatches: async () => batchQueries.listOpenBatches(db, stranger.id),
  listAllSaltSamples: async () => saltSampleQueries.listAllSaltSamples(db, stranger.id),
  listSaltSamples: async () => saltSampleQueries.listSaltSamples(db, stranger.id, saltSampleBase),
  addSaltSample: async () => {
    await saltSampleQueries.addSaltSample(db, stranger.id, saltSampleBase, { ...saltSample, viscosity: 9 });
    return [];
  },
  removeSaltSample: async () => saltSampleQueries.removeSaltSample(db, stranger.id, saltSample.id),
  saveFunnel: async () => {
    await makerQueries.saveFunnel(db, stranger.id, { k: 7, c: 0 });
    return (await makerQueries.findMaker(db, workshop.id))?.funnelK === 7 ? ["another's funnel"] : [];
  },
  listContainers: async () => containerQueries.listContainers(db, stranger.id),
  findLabel: async () => {
    const found = await labelQueries.findLabel(db, stranger.id, { formulaId: greenRoom.id, containerId: null, part: "" });
    return found === undefined ? [] : [found];
  },
  saveLabel: async () =>
    refused(labelQueries.saveLabel(db, stranger.id, { formulaId: greenRoom.id, containerId: null, part: "" }, labelOfNothing)),
  batchesOfLot: async () => stockQueries.batchesOfLot(db, stranger.id, lotId),
  holdLot: async () => ((await stockWrites.holdLot(db, stranger.id, lotId, "taken")) ? ["another's lot"] : []),
  openByUse: async () => {
    await stockWrites.openByUse(db, stranger.id, [closedLotId]);
    return [];
  },
  dateLot: async () => stockWrites.dateLot(db, stranger.id, lotId, { openedOn: "2026-01-01", endsOn: null, afterOpeningDays: 1 }),
  lotsMadeOf: async () => stockQueries.lotsMadeOf(db, stranger.id, lotId),
  lotsOfBatch: async () => stockQueries.lotsOfBatch(db, stranger.id, batchId),
  listPracticeRuns: async () => practiceQueries.listPracticeRuns(db, stranger.id, { formulaId: greenRoom.id, number: 1 }, 10),
  keepPracticeRun: async () =>
    refused(practiceQueries.keepPracticeRun(db, stranger.id, finalVersionId, { ...practiceRun, id: crypto.randomUUID() })),
  listPlannedBatches: async () => planningQueries.listPlannedBatches(db, stranger.id),
  listPlannable: async () => planningQueries.listPlannable(db, stranger.id, { most: 10, called: "" }),
  planBatchOn: async () => refused(planningQueries.planBatchOn(db, stranger.id, { ...plan, id: crypto.randomUUID() })),
  movePlan: async () => planningQueries.movePlan(db, stranger.id, plan.id, "2027-02-02"),
  beginPlanned: async () => {
    await planningQueries.beginPlanned(db, stranger.id, plan.id, batchId);
    return [];
  },
  dropPlan: async () => planningQueries.dropPlan(db, stranger.id, plan.id),
  planChecks: async () =>
    refused(watchQueries.planChecks(db, stranger.id, batchId, [{ ...plannedCheck, id: crypto.randomUUID(), title: "x" }])),
  listPlannedChecks: async () => watchQueries.listPlannedChecks(db, stranger.id, batchId),
  listDueChecks: async () => watchQueries.listDueChecks(db, stranger.id, 10),
  listChecks: async () => watchQueries.listChecks(db, stranger.id, batchId),
  listWatchable: async () => watchQueries.listWatchable(db, stranger.id, { most: 10 }),
  keepCheck: async () => refused(watchQueries.keepCheck(db, stranger.id, { ...look, id: crypto.randomUUID(), plannedId: null })),
  listAnsweredAlarms: async () => watchQueries.listAnsweredAlarms(db, stranger.id, [batchId]),
  answerAlarm: async () => {
    await watchQueries.answerAlarm(db, stranger.id, { ...alarmAnswer, because: "stolen" });
    return refused(watchQueries.answerAlarm(db, stranger.id, { ...alarmAnswer, what: "colour" }));
  },
  reopenAlarm: async () => watchQueries.reopenAlarm(db, stranger.id, batchId, "ph"),
  keepLather: async () => refused(watchQueries.keepLather(db, stranger.id, { ...lather, id: crypto.randomUUID() })),
  beginBlindTest: async () => refused(watchQueries.beginBlindTest(db, stranger.id, { ...blindTest, id: crypto.randomUUID() })),
  listBlindTests: async () => watchQueries.listBlindTests(db, stranger.id),
  findBlindTest: async () => watchQueries.findBlindTest(db, stranger.id, blindTest.id),
  listBlindSheets: async () => watchQueries.listBlindSheets(db, stranger.id, blindTest.id),
  answerBlindTest: async () =>
    (await watchQueries.answerBlindTest(db, stranger.id, blindTest.id, [{ tester: 1, chosen: "100" }])) === 0 ? [] : ["another's answer"],
  findCheckPhoto: async () => watchQueries.findCheckPhoto(db, stranger.id, look.id),
  listSeenLater: async () => watchQueries.listSeenLater(db, stranger.id, [batchId]),
  listBlindTestsOf: async () => watchQueries.listBlindTestsOf(db, stranger.id, batchId),
  beginPatchTest: async () => refused(patchQueries.beginPatchTest(db, stranger.id, { ...patchTest, id: crypto.randomUUID() })),
  judgePatchTest: async () =>
    (await patchQueries.judgePatchTest(db, stranger.id, patchTest.id, { lookedAt: new Date(), seen: "nothing", note: "" }))
      ? "judged"
      : undefined,
  listPatchTests: async () => patchQueries.listPatchTests(db, stranger.id, batchId),
  listProducts: async () => comparisonQueries.listProducts(db, stranger.id),
  findProduct: async () => comparisonQueries.findProduct(db, stranger.id, product.id),
  findProductPhoto: async () => comparisonQueries.findProductPhoto(db, stranger.id, product.id),
  saveProduct: async () => {
    await comparisonQueries.saveProduct(db, stranger.id, { ...product, name: "Taken" }, { picture: Buffer.from("y"), width: 1, height: 1 });
    return [];
  },
  deleteProduct: async () => ((await comparisonQueries.deleteProduct(db, stranger.id, product.id)) ? ["another's product"] : []),
  listRoundReadings: async () => comparisonQueries.listRoundReadings(db, stranger.id, [finalVersionId]),
  saveRoundReadings: async () => refused(comparisonQueries.saveRoundReadings(db, stranger.id, { versionId: draftId, ph: 9 })),
  keepSuggestion: async () => refused(comparisonQueries.keepSuggestion(db, stranger.id, { ...suggestion, versionId: finalVersionId })),
  findProductCalled: async () => comparisonQueries.findProductCalled(db, stranger.id, product.name),
  listSuggestions: async () => comparisonQueries.listSuggestions(db, stranger.id, 10),
  listLather: async () => watchQueries.listLather(db, stranger.id, batchId),
  changePlannedCheck: async () => watchQueries.changePlannedCheck(db, stranger.id, plannedCheck.id, { dueOn: "2027-02-02" }),
  listOffers: async () => priceQueries.listOffers(db, stranger.id, null),
  saveOffer: async () => refused(priceQueries.saveOffer(db, stranger.id, { ...offer, materialId: ownMaterialId })),
  dropOffer: async () => priceQueries.dropOffer(db, stranger.id, offer.id),
  listFilledContainers: async () => batchQueries.listFilledContainers(db, stranger.id, [batchId]),
  noteGiven: async () =>
    refused(batchWrites.noteGiven(db, stranger.id, { batchId, rowId: "bottles" }, { toWhom: "taken", openedOn: null })),
  findPriceWish: async () => {
    const found = await priceQueries.findPriceWish(db, stranger.id, greenRoom.id);
    return found === undefined ? [] : [found];
  },
  savePriceWish: async () =>
    refused(
      priceQueries.savePriceWish(db, stranger.id, greenRoom.id, { labelEach: 9, marginPercent: 9, taxPercent: 9, shopPer100Grams: 9 }),
    ),
  saveContainer: async () => {
    await containerQueries.saveContainer(db, stranger.id, { ...container, name: "Taken" });
    return [];
  },
  deleteContainer: async () => ((await containerQueries.deleteContainer(db, stranger.id, container.id)) ? ["another's container"] : []),
  listScents: async () => scentQueries.listScents(db, stranger.id),
  findScent: async () => scentQueries.findScent(db, stranger.id, scentId),
  listRounds: async () => scentQueries.listRounds(db, stranger.id, scentId),
  listCounts: async () => scentQueries.listCounts(db, stranger.id, scentId),
  insertScent: async () => refused(scentWrites.insertScent(db, stranger.id, { id: scentId, name: "Taken" })),
  addRound: async () =>
    scentWrites.addRound(db, stranger.id, scentId, { id: crypto.randomUUID(), countedIn: "drops", note: "", counts: [] }),
  keepRound: async () => {
    const [glycerin] = await materialQueries.materialsById(db, stranger.id, [glycerinId]);
    const facts = { ...glycerin!.facts, slug: "taken-scent", name: "Taken" };
    return scentWrites.keepRound(db, stranger.id, roundId, { id: crypto.randomUUID(), facts, basedOnId: null, madeAs: "scent" });
  },
  deleteScent: async () => scentWrites.deleteScent(db, stranger.id, scentId),
  saveUnits: async () => {
    await makerQueries.saveUnits(db, stranger.id, { currency: "kr", massUnit: "oz" });
    return (await makerQueries.findMaker(db, workshop.id))?.currency === "kr" ? ["another's money"] : [];
  },
  saveBatchCode: async () => {
    await makerQueries.saveBatchCode(db, stranger.id, "mine-{n}");
    return (await makerQueries.findMaker(db, workshop.id))?.batchCode === "mine-{n}" ? ["another's codes"] : [];
  },
  usesOfMaterial: async () => formulaQueries.usesOfMaterial(db, stranger.id, glycerinId, 10),
  listClosedBatchesOf: async () => batchQueries.listClosedBatchesOf(db, stranger.id, greenRoom.id, { most: 10 }),
  listLots: async () => stockQueries.listLots(db, stranger.id),
  listLotsOfRole: async () => stockQueries.listLotsOfRole(db, stranger.id, "ph-adjuster"),
  standingLots: async () => stockQueries.standingLots(db, stranger.id),
  listToDiscard: async () => stockQueries.listToDiscard(db, stranger.id, "2099-01-01"),
  lotsOfMaterial: async () => stockQueries.lotsOfMaterial(db, stranger.id, glycerinId),
  usedUpLotsOfMaterial: async () => stockQueries.usedUpLotsOfMaterial(db, stranger.id, glycerinId, { most: 10 }),
  codesOfLots: async () => [...(await stockQueries.codesOfLots(db, stranger.id, ""))],
  packsBought: async () => stockQueries.packsBought(db, stranger.id, ["glycerin"]),
  findLot: async () => stockQueries.findLot(db, stranger.id, lotId),
  movementsOfMaterial: async () => stockQueries.movementsOfMaterial(db, stranger.id, glycerinId, 10),
  receiveLot: async () => {
    const lot = { id: lotId, materialId: ownMaterialId, code: "mine", supplier: "", note: "", packGrams: 1 };
    return stockWrites
      .receiveLot(db, stranger.id, { ...lot, assayPercent: null, price: null, openedOn: null, endsOn: null }, crypto.randomUUID())
      .then(() => "taken over")
      .catch(() => undefined);
  },
  receiveLots: async () => {
    const lot = { id: crypto.randomUUID(), materialId: ownMaterialId, code: "mine", supplier: "", note: "", packGrams: 1 };
    const row = { ...lot, assayPercent: null, price: null, openedOn: null, endsOn: null };
    return stockWrites
      .receiveLots(db, stranger.id, [{ lot: row, movementId: crypto.randomUUID() }])
      .then(() => "taken over")
      .catch(() => undefined);
  },
  addMovement: async () =>
    stockWrites.addMovement(db, stranger.id, { lotId, movementId: crypto.randomUUID() }, () => ({ kind: "use", grams: -1, note: "" })),
  deleteLot: async () => stockWrites.deleteLot(db, stranger.id, lotId),
  listAcknowledgements: async () => acknowledgementQueries.listAcknowledgements(db, stranger.id, greenRoom.id),
  saveAcknowledgement: async () =>
    acknowledgementQueries.saveAcknowledgement(db, stranger.id, greenRoom.id, {
      code: "DUST",
      fingerprint: "5a".repeat(32),
      reason: "Mine now.",
    }),
  deleteAcknowledgement: async () =>
    acknowledgementQueries.deleteAcknowledgement(db, stranger.id, greenRoom.id, { code: "DUST", fingerprint: "a5".repeat(32) }),
  ensureMaker: async () => {
    await makerQueries.ensureMaker(db, { ...stranger, name: "Renamed" });
    return (await makerQueries.findMaker(db, stranger.id))?.name === stranger.name ? [] : ["renamed"];
  },
  findMaker: async () => ((await makerQueries.findMaker(db, stranger.id))?.id === stranger.id ? [] : ["another maker"]),
  beginSession: async () => {
    await makerQueries.beginSession(db, stranger.id, makerQueries.THIS_MACHINE);
    return (await makerQueries.makerOfSession(db, makerQueries.THIS_MACHINE)) === workshop.id ? [] : ["another's machine"];
  },
  makerOfSession: async () => {
    await makerQueries.beginSession(db, stranger.id, "stranger's tablet");
    return (await makerQueries.makerOfSession(db, "stranger's tablet")) === stranger.id ? [] : ["another's session"];
  },
  findEverywhere: async () => (await searchQueries.findEverywhere(db, stranger.id, "Green Room")).filter(({ kind }) => kind !== "material"),
  listMakeable: async () => planningQueries.listMakeable(db, stranger.id, 10),
  feedSince: async () => ((await makerQueries.feedSince(db, stranger.id)) === null ? [] : ["another's calendar"]),
  keepFeed: async () => {
    await makerQueries.keepFeed(db, stranger.id, "b".repeat(64));
    const mine = await makerQueries.makerOfFeed(db, "a".repeat(64));
    await makerQueries.dropFeed(db, stranger.id);
    return mine === workshop.id ? [] : ["took another's address"];
  },
  dropFeed: async () => {
    await makerQueries.dropFeed(db, stranger.id);
    return (await makerQueries.feedSince(db, workshop.id)) === null ? ["revoked another's address"] : [];
  },
  makerOfFeed: async () => ((await makerQueries.makerOfFeed(db, "c".repeat(64))) === undefined ? [] : ["anybody's"]),
  listFinishedSince: async () => batchQueries.listFinishedSince(db, stranger.id, new Date(0), 10),
  listLastPhReadings: async () => batchQueries.listLastPhReadings(db, stranger.id, [batchId]),
  lastRoomSince: async () => ((await watchQueries.lastRoomSince(db, stranger.id, new Date(0))) === null ? [] : ["another's room"]),
  lastCalibratedAt: async () => ((await batchQueries.lastCalibratedAt(db, stranger.id)) === null ? [] : ["another's meter"]),
  listWatchedSince: async () => watchQueries.listWatchedSince(db, stranger.id, new Date(0), 10),
  listLooksOf: async () => watchQueries.listLooksOf(db, stranger.id, [batchId]),
  listEndingLots: async () => stockQueries.listEndingLots(db, stranger.id, { from: "2000-01-01", until: "2100-01-01" }, 10),
  markDemoDecided: async () => {
    await makerQueries.markDemoDecided(db, stranger.id);
    return [];
  },
};

/** No rows, no row, nothing done. */
function isNothing(answer: unknown): boolean {
  return answer === undefined || answer === false || (Array.isArray(answer) && answer.length === 0);
}

/** Pure functions that stand among the queries. */
const noQueries = ["columnsOf"];

describe("a second maker", () => {
  it("is asked about in every query there is", () => {
    const modules = Object.values(import.meta.glob<Record<string, unknown>>("./*/{queries,writes}.server.ts", { eager: true }));
    expect(modules.length).toBeGreaterThanOrEqual(5);
    const names = modules.flatMap((module) => Object.keys(module).filter((name) => typeof module[name] === "function"));
    expect(names.filter((name) => !noQueries.includes(name)).sort()).toEqual(Object.keys(asked).sort());
  });

  it.each(Object.keys(asked))("gets nothing of the first from %s, and changes nothing", async (name) => {
    const before = await possessions();
    const answer = await asked[name]?.();
    expect(isNothing(answer), JSON.stringify(answer)).toBe(true);
    expect(await possessions()).toEqual(before);
  });

  it("cannot bring in a lot of the first one's material", async () => {
    const lots = [{ lot: ownLot(), movementId: crypto.randomUUID(), leftGrams: 1 }];
    await expect(importShelf(db, stranger.id, { materials: [], ownFacts: [], lots })).rejects.toThrow();
    expect(await stockQueries.listLots(db, stranger.id)).toEqual([]);
  });

  it("cannot weigh a line of their own from the first one's lot", async () => {
    const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
    await formulaWrites.insertFormula(db, stranger.id, ids, content());
    const lots = [{ lotId, grams: null }];
    const line = {
      id: crypto.randomUUID(),
      phaseLetter: "A",
      materialId: glycerinId,
      percent: 1,
      takesTheRest: false,
      assayPercent: null,
      lots,
    };
    const save = formulaWrites.saveDraft(db, stranger.id, { versionId: ids.versionId, revision: 0 }, { ...content(), lines: [line] });
    await expect(save).rejects.toThrow();
  });

  it("cannot put the first one's material into a line of their own", async () => {
    const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
    await formulaWrites.insertFormula(db, stranger.id, ids, content());
    const line = {
      id: crypto.randomUUID(),
      phaseLetter: "A",
      materialId: ownMaterialId,
      percent: 1,
      takesTheRest: false,
      assayPercent: null,
    };
    const save = formulaWrites.saveDraft(db, stranger.id, { versionId: ids.versionId, revision: 0 }, { ...content(), lines: [line] });
    await expect(save).rejects.toThrow();
  });
});
