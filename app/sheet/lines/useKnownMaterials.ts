import { type Material, shownMaterial, wholeMaterial } from "@tensidrum/core/library";
import { useCallback, useState } from "react";
import type { OpenSheet } from "../openSheet.server";
import type { FoundMaterial } from "@tensidrum/core/search";
import type { MaterialStore } from "../../frame/materialStore";

type Materials = ReadonlyMap<string, Material>;

/** The materials this page knows: those of the loaded lines, and what is picked later. */
export function useKnownMaterials(sheet: OpenSheet) {
  const [materials, setMaterials] = useState(() => knownAtFirst(sheet));
  const learn = useCallback((found: readonly FoundMaterial[], store: MaterialStore) => {
    const library = new Map(store.all.map(({ facts }) => [facts.slug, facts]));
    setMaterials((known) => ({
      byId: new Map([...known.byId, ...found.map(({ id, facts }) => [id, facts] as const)]),
      bySlug: found.reduce((all, { facts }) => withParts(all, facts, library), known.bySlug),
    }));
  }, []);
  const { byId } = materials;
  const nameOf = useCallback(
    (id: string) => {
      const material = byId.get(id);
      return material === undefined ? "a material" : shownMaterial(material).name;
    },
    [byId],
  );
  return { materials, learn, nameOf };
}

function knownAtFirst(sheet: OpenSheet): { readonly byId: Materials; readonly bySlug: Materials } {
  const own = sheet.materials.map(({ id, facts }) => [id, wholeMaterial(facts)] as const);
  const all = [...sheet.parts.map(wholeMaterial), ...own.map(([, facts]) => facts)];
  return { byId: new Map(own), bySlug: new Map(all.map((facts) => [facts.slug, facts])) };
}

/** The known materials with one more and all it is made of. */
function withParts(known: Materials, material: Material, library: Materials): Materials {
  const more = new Map(known);
  const add = (facts: Material) => {
    more.set(facts.slug, facts);
    for (const part of facts.parts ?? []) {
      const inner = library.get(part.material);
      if (inner !== undefined && !more.has(inner.slug)) add(inner);
    }
  };
  add(material);
  return more;
}
