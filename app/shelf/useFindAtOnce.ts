import { useRef, useState } from "react";
import type { MaterialStore } from "../frame/materialStore";
import type { FoundMaterial } from "@tensidrum/core/search";

const SHORTEST_SEARCH = 2;

/** What is found of the whole library as it is typed; null while nothing is, or before the library is there. */
export function useFindAtOnce() {
  const [text, setText] = useState("");
  const [store, setStore] = useState<MaterialStore | null>(null);
  const isAsked = useRef(false);
  const load = () => {
    if (isAsked.current) return;
    isAsked.current = true;
    import("../frame/materialStore")
      .then(({ loadMaterialStore }) => loadMaterialStore())
      .then(setStore)
      // The button still asks the server.
      .catch(() => {
        isAsked.current = false;
      });
  };
  const found: readonly FoundMaterial[] | null = store === null || text.trim().length < SHORTEST_SEARCH ? null : store.find(text);
  return { found, load, type: setText };
}
