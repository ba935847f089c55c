import { questionOf, searched, shownFrontier } from "@tensidrum/core/design";
import { wholeMaterial } from "@tensidrum/core/library";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { describe, expect, it } from "vitest";
import { curtainCall, greenRoom } from "../../../db/demo/season";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { listVersions } from "../../../db/formulas/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { draftForBlend, openDesigner } from "./designer.server";

onFreshDatabase({ demo: "once" });

describe("the designer of a sheet", () => {
  it("knows what stands on the shelf with price and strength, and where the versions lie", async () => {
    const open = await openDesigner(curtainCall.id, undefined);
    const shelf = new Map(open.shelf);
    expect(shelf.get("cocamidopropyl-betaine")?.grams).toBeGreaterThan(0);
    expect(shelf.get("cocamidopropyl-betaine")?.price).toBeGreaterThan(0);
    expect(open.marks.length).toBeGreaterThan(0);
    expect(open.usual).toMatchObject({ against: "cost", onlyShelf: true, mostAnionicPercent: 75 });
    // The page carries what may be taken and what is on the sheet, and nothing more of the library.
    expect(open.materials.length).toBeLessThan(90);
    expect(open.choices.every(({ slug }) => open.materials.some((one) => one.slug === slug))).toBe(true);
  });

  it("its question finds blends of the shelf that keep what the sheet has beside them", async () => {
    const { formula, materials, shelf, usual } = await openDesigner(curtainCall.id, undefined);
    const { mustNot, onlyShelf, coldOnly, preservative, ...wishes } = usual;
    const ask = { formula, wishes, shelf: new Map(shelf), onlyShelf, mustNot, coldOnly, preservative };
    const question = questionOf(ask, new Map(materials.map((one) => [one.slug, wholeMaterial(one)])));
    expect(question.candidates.every(({ slug }) => shelf.some(([there]) => there === slug))).toBe(true);
    // It is a sulfate-free sheet: what the style leaves out of the library is told with its reason.
    const library = new Map(materials.map((one) => [one.slug, wholeMaterial(one)]));
    const all = questionOf({ ...ask, wishes: { ...wishes, against: "foam" }, onlyShelf: false }, library);
    expect(all.leftOut.some(({ reason }) => reason === "style")).toBe(true);
    expect(all.candidates.some(({ group }) => group === "sulfate")).toBe(false);
    const shown = shownFrontier(searched(question, 100_000, await loadLinearSolver()), "cost");
    expect(shown?.blends.length).toBeGreaterThan(1);
  });

  it("begins the next draft of a final version with a sentence, once; beside an open draft it says which", async () => {
    const [db, makerId] = [database(), currentMakerId()];
    const [newest] = await listVersions(db, makerId, greenRoom.id);
    expect(newest?.state).toBe("final");
    const typed = { version: newest!.id, sentence: "A blend found for v1: decyl glucoside 10 %.", into: "next" as const };
    expect(await draftForBlend(greenRoom.id, { ...typed, into: "draft" })).toMatchObject({ problems: [{ field: "" }] });
    const draft = newest!.number + 1;
    expect(await draftForBlend(greenRoom.id, typed)).toEqual({ formulaId: greenRoom.id, draft, isNoted: true });
    expect((await listVersions(db, makerId, greenRoom.id))[0]).toMatchObject({ state: "draft", note: typed.sentence });
    expect(await draftForBlend(greenRoom.id, typed)).toMatchObject({
      problems: [{ message: expect.stringContaining("is open") as unknown }],
    });
    await expect(draftForBlend(greenRoom.id, { ...typed, version: crypto.randomUUID() })).rejects.toThrow("not here");
  });

  it("into the draft that is open the sentence joins its note, as long as there is room", async () => {
    const [db, makerId] = [database(), currentMakerId()];
    const [draft] = await listVersions(db, makerId, greenRoom.id);
    const typed = { version: draft!.id, sentence: "Fixed: irritation 90.", into: "draft" as const };
    expect(await draftForBlend(greenRoom.id, typed)).toMatchObject({ draft: draft!.number, isNoted: true });
    const noteNow = async () => (await listVersions(db, makerId, greenRoom.id))[0]!.note;
    expect(await noteNow()).toBe(`${draft!.note}\nFixed: irritation 90.`);
    const long = { ...typed, sentence: "x".repeat(1_930) };
    expect(await draftForBlend(greenRoom.id, long)).toMatchObject({ isNoted: true });
    expect(await draftForBlend(greenRoom.id, typed)).toMatchObject({ isNoted: false });
    expect((await noteNow()).length).toBeLessThanOrEqual(2_000);
  });

  it("into a trial: a formula of its own with the sentence in its note; this one stays as it is", async () => {
    const [db, makerId] = [database(), currentMakerId()];
    const before = await listVersions(db, makerId, greenRoom.id);
    const first = before.at(-1)!;
    const opened = await draftForBlend(greenRoom.id, { version: first.id, sentence: "A blend to try.", into: "trial" });
    expect(opened).toMatchObject({ draft: 1, isNoted: true });
    const trial = "formulaId" in opened ? opened.formulaId : "";
    expect(trial).not.toBe(greenRoom.id);
    expect(await listVersions(db, makerId, trial)).toMatchObject([{ number: 1, state: "draft", note: "A blend to try." }]);
    expect(await listVersions(db, makerId, greenRoom.id)).toEqual(before);
  });

  it("lots that end soon, preservatives to choose from, and how far earlier versions lie from the sheet", async () => {
    const open = await openDesigner(curtainCall.id, undefined);
    expect(open.preservatives.length).toBeGreaterThan(5);
    expect(open.marks[0]).toMatchObject({ change: 0 });
    expect(open.marks.slice(1).some(({ change }) => change > 0)).toBe(true);
    for (const { material } of open.ending) expect(open.choices.some(({ slug }) => slug === material)).toBe(true);
  });

  it("a formula or version that is not there is not found", async () => {
    await expect(openDesigner(crypto.randomUUID(), undefined)).rejects.toThrow("No version");
    await expect(openDesigner(curtainCall.id, 99)).rejects.toThrow("No version");
  });
});
