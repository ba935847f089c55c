import type { Material } from "@tensidrum/core/library";
import { readRecipe, recogniserOf, type Recipe, type Recogniser } from "@tensidrum/core/recipe";
import { parentPort } from "node:worker_threads";

/** A recipe to be read with the materials a maker has. */
export interface RecipeTask {
  readonly text: string;
  readonly materials: readonly Material[];
}

let known: { readonly names: string; readonly recogniser: Recogniser } | undefined;

/** Learning the names takes longer than reading; they are learnt anew only when the materials are others. */
function recogniserFor(materials: readonly Material[]): Recogniser {
  const names = materials.map(({ slug, name }) => `${slug} ${name}`).join("\n");
  if (known?.names !== names) known = { names, recogniser: recogniserOf(materials) };
  return known.recogniser;
}

parentPort?.on("message", ({ text, materials }: RecipeTask) => {
  parentPort?.postMessage(readRecipe(text, materials, recogniserFor(materials)) satisfies Recipe);
});
