import { notChosen, shownMaterial, type Material, type MaterialsBySlug } from "@tensidrum/core/library";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { percentText, Refusal, writtenShort } from "@tensidrum/core/quantities";
import { printedShares } from "@tensidrum/core/stability";
import { readRecipe, recipeShares, titleOf, type Recipe } from "@tensidrum/core/recipe";
import { Worker } from "node:worker_threads";
import { group, verbatim } from "../../frame/fields.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { listMaterials } from "../../../db/materials/queries.server";
import type { RecipeTask } from "../../../workers/recipe.node";
import { TimeIsUp, timedWorker } from "../../frame/timedWorker.server";

/** Longest recipe that is read, characters: many times what anyone writes down. */
const MOST_CHARACTERS = 20_000;
const MOST_ROWS = 300;
const SHARE_DECIMALS = 4;

/** A recipe as pasted; one character more than is read, so that who is over it is told. */
export const recipeForm = group({ text: verbatim(MOST_CHARACTERS + 1) });

const MOST_MILLISECONDS = 3_000;

/** The build puts the worker beside the server; development and tests read in their own thread. */
const inWorker = import.meta.env.PROD
  ? timedWorker<RecipeTask, Recipe>(() => new Worker(new URL("../recipeWorker.js", import.meta.url)), MOST_MILLISECONDS)
  : undefined;

/** Reads a recipe beside the server's thread, within a time limit. */
async function readBeside(text: string, materials: readonly Material[]): Promise<Recipe> {
  if (inWorker === undefined) return readRecipe(text, materials);
  try {
    return await inWorker({ text, materials });
  } catch (error) {
    if (!(error instanceof TimeIsUp)) throw error;
    throw new Refusal("not-possible", "This text could not be read within 3 seconds.", "Paste the list of materials alone.");
  }
}

/** What was understood of a recipe: a line for each that names something, none left out. */
export async function understandRecipe(text: string) {
  if (text.length > MOST_CHARACTERS || text.split("\n").length > MOST_ROWS) {
    throw new Refusal(
      "not-possible",
      "This is longer than a recipe: 20,000 characters and 300 lines are read.",
      "Paste the list of materials alone.",
    );
  }
  const stored = await listMaterials(database(), currentMakerId());
  const bySlug = new Map(stored.map(({ facts }) => [facts.slug, facts]));
  const idOf = new Map(stored.map(({ id, facts }) => [facts.slug, id]));
  const chosen = (slug: string) => {
    const facts = bySlug.get(slug);
    return { materialId: idOf.get(slug) ?? "", name: facts === undefined ? slug : shownMaterial(facts).name };
  };
  const recipe = await readBeside(text, [...bySlug.values()]);
  const { shares, openPercent, batchGrams } = recipeShares(recipe, bySlug, "us");
  const printed = recipe.isIngredientList ? await printedPercents(recipe, bySlug) : null;
  return {
    openPercent: printed === null ? openPercent : 0,
    batchGrams: batchGrams ?? recipe.batchGrams,
    isIngredientList: recipe.isIngredientList,
    title: titleOf(recipe),
    openMaterialId: idOf.get(notChosen.slug) ?? "",
    phases: recipe.phases.map(({ id, title, temperatureC }) => ({
      ...{ id, title },
      temperature: temperatureC === null ? "" : writtenShort(temperatureC, 1),
    })),
    notes: recipe.lines.filter(({ kind }) => kind === "note").map(({ text: note }) => note.trim()),
    lines: shares.map(({ text: typed, material, offers, phase, percent, takesTheRest, isEstimate, assayPercent }, at) => {
      const share = printed?.[at] ?? percent;
      return {
        ...{ typed, phase, takesTheRest, isEstimate: isEstimate || printed !== null },
        chosen: material === null ? null : chosen(material),
        offers: offers.map(chosen),
        percent: share === null ? "" : percentText(Number(share.toFixed(SHARE_DECIMALS))),
        assay: assayPercent === null ? "" : percentText(assayPercent),
      };
    }),
  };
}

/** Shares of a printed list by its order; null where the order allows none. */
async function printedPercents(recipe: Recipe, library: MaterialsBySlug): Promise<readonly number[] | null> {
  const names = recipe.lines.map(({ name }) => name);
  const shares = printedShares(names, library, await loadLinearSolver());
  return shares.found ? shares.percents : null;
}

export type UnderstoodRecipe = Awaited<ReturnType<typeof understandRecipe>>;
