import { coreVersion } from "@tensidrum/core/assessment";
import { stepsOf } from "@tensidrum/core/process";
import { expect, it } from "vitest";
import { beginBatch } from "../../../db/batches/writes.server";
import { demoFormulas } from "../../../db/demo/formulas";
import { formulaOfVersion } from "../../../db/formulas/formulaOfVersion.server";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { atWorkplace, currentMakerId, database, workplace } from "../../../db/workplace.server";
import { openLabel } from "./label.server";

onFreshDatabase({ demo: "once" });

it("the best-before day counts from the day the batch was begun on where the maker is", async () => {
  const greenRoom = demoFormulas.find(({ name }) => name === "Green Room body wash");
  const { formula, materials } = await formulaOfVersion(database(), currentMakerId(), { formulaId: greenRoom?.id ?? "", number: 1 });
  const id = crypto.randomUUID();
  const batch = { id, versionId: greenRoom?.versions[0]?.id ?? "", code: "GR-late", formula, ...stepsOf(formula, materials), coreVersion };
  await beginBatch(database(), currentMakerId(), { ...batch, startedAt: new Date("2026-03-30T23:30:00Z"), entries: [] }, []);
  const dayIn = async (zone: string) =>
    (await atWorkplace({ ...workplace(), zone }, () => openLabel(id, { row: "", template: "" }))).bestBefore[12];
  expect(await dayIn("Europe/Berlin")).toBe("Best before 31 Mar 2027");
  expect(await dayIn("UTC")).toBe("Best before 30 Mar 2027");
});
