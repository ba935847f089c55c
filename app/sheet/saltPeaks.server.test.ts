import { surfactantBaseOf } from "@tensidrum/core/process";
import { describe, expect, it } from "vitest";
import { currentMakerId, database } from "../../db/workplace.server";
import { demoFormulas } from "../../db/demo/formulas";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { openSheet } from "./openSheet.server";
import { saltPeakOf } from "./saltPeaks.server";
import { versionFormula } from "./versions/versionFormula.server";

onFreshDatabase({ demo: "once" });

const addressOf = (formula: string) => ({ formulaId: demoFormulas.find(({ name }) => name === formula)?.id ?? "", number: 1 });
const made = (formula: string) => versionFormula(database(), currentMakerId(), addressOf(formula));

describe("peaks of fitted salt curves on the Sheet", () => {
  it("every Sheet knows them by base: the demo has one, that of the Green Room body wash", async () => {
    const base = surfactantBaseOf(await made("Green Room body wash"));
    const { saltPeaks } = await openSheet(addressOf("Curtain Call shampoo"), "");
    expect(Object.keys(saltPeaks)).toEqual([base?.hash]);
    expect(Object.values(saltPeaks)[0]).toBeCloseTo(2.36, 1);
  });

  it("what is saved is judged by the peak of its own base; another base has none", async () => {
    const ofGreenRoom = await saltPeakOf(database(), currentMakerId(), await made("Green Room body wash"));
    expect(Object.values(ofGreenRoom)[0]).toBeCloseTo(2.36, 1);
    expect(await saltPeakOf(database(), currentMakerId(), await made("Curtain Call shampoo"))).toEqual({});
  });
});
