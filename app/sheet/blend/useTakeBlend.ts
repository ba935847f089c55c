import { lotsToUseFirst } from "@tensidrum/core/inventory";
import { percentText, readMassGrams, writtenShort } from "@tensidrum/core/quantities";
import { activeContentOf } from "@tensidrum/core/surfactants";
import { fetchShelfLots } from "../shelfLots";
import { useSheet } from "../SheetState";
import { withCleansers } from "../typed/editing";
import { typedLot } from "../typed/lineLots";
import type { TakenBlend } from "./blendState";

/** Puts a blend into the sheet in one step that can be undone; answers what is in the way, or null. */
export function useTakeBlend(): (blend: Pick<TakenBlend, "lines">) => Promise<string | null> {
  const { editor, known } = useSheet();
  return async ({ lines }) => {
    const { loadMaterialStore } = await import("../../frame/materialStore");
    const [store, shelf] = await Promise.all([loadMaterialStore(), fetchShelfLots()]);
    const found = lines.flatMap(({ material }) => store.all.find(({ facts }) => facts.slug === material) ?? []);
    if (found.length < lines.length) return "A surfactant of the blend is not in the library any more. Nothing was changed.";
    known.learn(found, store);
    const byId = new Map([...store.all.map(({ id, facts }) => [id, facts] as const), ...known.materials.byId]);
    const bySlug = new Map([...byId.values()].map((facts) => [facts.slug, facts]));
    const isCleanser = (id: string): boolean => {
      const material = byId.get(id);
      return material !== undefined && activeContentOf(material, bySlug).percent > 0;
    };
    const read = readMassGrams(editor.typed.batch);
    const taken = found.map(({ id, facts }) => {
      const percent = lines.find(({ material }) => material === facts.slug)?.percent ?? 0;
      const grams = read.ok ? (read.value * percent) / 100 : 0;
      const lots = lotsToUseFirst(shelf ?? [], facts.slug, grams).map(({ lot, grams: of }) =>
        typedLot(lot, of === null ? "" : writtenShort(of, 2)),
      );
      return { materialId: id, percent: percentText(percent), ...(lots.length > 0 && { lots }) };
    });
    editor.fixWith((sheet) => withCleansers(sheet, taken, isCleanser));
    return null;
  };
}
