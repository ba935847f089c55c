import { describe, expect, it } from "vitest";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import type { TypedContainer } from "./containerForm.server";
import { changeContainer, openContainers, readContainer } from "./containers.server";

onFreshDatabase({ demo: "never" });

const pump: TypedContainer = {
  ...{ intent: "save", id: crypto.randomUUID(), name: "Pump", type: "pump", nominal: "250", brimful: "276", headspace: "10" },
  ...{ dipTube: "6", tare: "34.2 g", labelWidth: "120", labelHeight: "70", pieces: "14", price: "0.92", note: "gels" },
};

const fieldsOf = (typed: TypedContainer) => readContainer(typed).problems.map(({ field }) => field);

describe("containers", () => {
  it("are kept with what they take; the brim decides where it leaves less than they are sold as", async () => {
    expect(await changeContainer(pump)).toEqual([]);
    const [kept] = (await openContainers("")).containers;
    expect(kept).toMatchObject({ name: "Pump", type: "pump", tareGrams: 34.2, labelWidthMm: 120, pieces: 14, note: "gels", takesMl: 250 });
    await changeContainer({ ...pump, brimful: "260" });
    expect((await openContainers("")).containers).toMatchObject([{ takesMl: 244 }]);
    expect((await openContainers(pump.id)).typed).toMatchObject({ nominal: "250", brimful: "260", pieces: "14" });
  });

  it("who has not measured the brim counts with what it is sold as, and what is not counted stays so", () => {
    const bare = { ...pump, brimful: "", headspace: "", dipTube: "", tare: "", labelWidth: "", labelHeight: "", pieces: "", price: "" };
    expect(readContainer(bare).container).toMatchObject({
      brimfulMl: 250,
      headspaceMl: 0,
      tareGrams: null,
      pieces: null,
      labelWidthMm: null,
    });
    expect(fieldsOf(bare)).toEqual([]);
  });

  it("a bottle sold as 8 oz that holds 10 to the lip takes what it is sold as", () => {
    const ounces = { ...pump, nominal: "237", brimful: "296", headspace: "", dipTube: "" };
    expect(readContainer(ounces).container).toMatchObject({ nominalMl: 237, brimfulMl: 296 });
  });

  it.each<[Partial<TypedContainer>, string]>([
    [{ name: " " }, "name"],
    [{ name: "x".repeat(61) }, "name"],
    [{ nominal: "" }, "nominal"],
    [{ nominal: "0" }, "nominal"],
    [{ brimful: "240" }, "brimful"],
    [{ headspace: "-1" }, "headspace"],
    [{ headspace: "270", dipTube: "6" }, "headspace"],
    [{ tare: "heavy" }, "tare"],
    [{ labelWidth: "" }, "labelHeight"],
    [{ labelWidth: "2000" }, "labelWidth"],
    [{ pieces: "2.5" }, "pieces"],
    [{ price: "free" }, "price"],
  ])("what cannot be is named: %j", (changes, field) => {
    expect(fieldsOf({ ...pump, ...changes })).toEqual([field]);
  });

  it("two of one name are refused, and a deleted one is gone", async () => {
    const other = { ...pump, id: crypto.randomUUID() };
    expect(await changeContainer(other)).toMatchObject([{ field: "name" }]);
    expect(await changeContainer({ ...pump, intent: "delete" })).toEqual([]);
    expect((await openContainers("")).containers).toEqual([]);
  });
});
