import { request as apiRequest } from "@playwright/test";
import type { StoredMaterial } from "../db/materials/queries.server";

/** Lays a formula of so many lines into a running application, by the same forms a browser sends. Returns its address. */
export async function makeFormula(address: string, lineCount: number): Promise<string> {
  const api = await apiRequest.newContext({ baseURL: address, extraHTTPHeaders: { Origin: address } });
  const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID(), waterLineId: crypto.randomUUID() };
  await api.post("/sheet", { form: ids, maxRedirects: 0 });
  const all = (await (await api.get("/materials.json")).json()) as StoredMaterial[];
  const water = all.find(({ facts }) => facts.slug === "water-distilled");
  const others = all.filter(({ facts }) => facts.role !== "water");
  const body = new URLSearchParams({
    intent: "save",
    versionId: ids.versionId,
    revision: "0",
    name: "Benchmark wash",
    profile: "body-wash",
    batch: "1000",
  });
  for (const letter of ["A", "B", "C", "D"]) {
    body.append(`phases.${letter}.title`, "phase");
  }
  const add = (id: string, phase: string, materialId: string, percent: string) => {
    body.append(`lines.${id}.phase`, phase);
    body.append(`lines.${id}.materialId`, materialId);
    body.append(`lines.${id}.percent`, percent);
  };
  add(ids.waterLineId, "A", water?.id ?? "", "");
  for (let i = 1; i < lineCount; i += 1) {
    add(crypto.randomUUID(), "ABCD".charAt(Math.floor((i * 4) / lineCount)), others[(i * 7) % others.length]?.id ?? "", "1.5");
  }
  body.append("restLineId", ids.waterLineId);
  const saved = await api.post(`/sheet/${ids.formulaId}`, {
    headers: { "Content-Type": "application/x-www-form-urlencoded" },
    data: body.toString(),
    maxRedirects: 0,
  });
  await api.dispose();
  if (saved.status() !== 302) throw new Error(`The benchmark formula was not saved: ${saved.status()}`);
  return `${address}/sheet/${ids.formulaId}`;
}
