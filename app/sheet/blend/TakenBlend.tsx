import { Text } from "@mantine/core";
import { activeContentOf } from "@tensidrum/core/surfactants";
import { percentText } from "@tensidrum/core/quantities";
import { useEffect, useRef, useState } from "react";
import type { TakenBlend as Taken } from "../../frame/blendState";
import { loadMaterialStore } from "../../frame/materialStore";
import { useSheet } from "../SheetState";
import { withCleansers } from "../typed/editing";

/** Takes a blend the page was opened with into the sheet, once; it can be undone like anything else. */
export default function TakenBlend({ blend }: { readonly blend: Taken }) {
  const { editor, known } = useSheet();
  const [told, setTold] = useState<string | null>(null);
  const begun = useRef(false);
  const take = async ({ lines, sentence }: Taken): Promise<void> => {
    const store = await loadMaterialStore();
    const found = lines.flatMap(({ material }) => store.all.find(({ facts }) => facts.slug === material) ?? []);
    if (found.length < lines.length) return setTold("A surfactant of the blend is not in the library any more. Nothing was changed.");
    known.learn(found, store);
    const byId = new Map([...store.all.map(({ id, facts }) => [id, facts] as const), ...known.materials.byId]);
    const bySlug = new Map([...byId.values()].map((facts) => [facts.slug, facts]));
    const isCleanser = (id: string): boolean => {
      const material = byId.get(id);
      return material !== undefined && activeContentOf(material, bySlug).percent > 0;
    };
    const taken = found.map(({ id, facts }) => ({
      materialId: id,
      percent: percentText(lines.find(({ material }) => material === facts.slug)?.percent ?? 0),
    }));
    editor.fixWith((sheet) => withCleansers(sheet, taken, isCleanser));
    setTold(`${sentence} Undo brings back what was here.`);
    // A page that is loaded again does not take it twice.
    window.history.replaceState({ ...(window.history.state as object | null), usr: null }, "");
  };
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    latest.current(blend).catch(() => setTold("The library could not be read. Go back and take the blend again."));
  }, [blend]);
  return told === null ? null : (
    <Text role="status" m="8px 0">
      {told}
    </Text>
  );
}
