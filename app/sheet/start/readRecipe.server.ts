import { percentText, Refusal } from "@tensidrum/core/quantities";
import { shownMaterial } from "@tensidrum/core/library";
import type { Material } from "@tensidrum/core/library";
import { readRecipe, recipeShares, type Recipe } from "@tensidrum/core/recipe";
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

/** What was understood of a recipe, line by line, and the lines it makes. */
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
  const recipe = await readBeside(text, [...bySlug.values()]);
  const { shares, asked, openPercent, batchGrams, left } = recipeShares(recipe, bySlug, "us");
  const shareOf = new Map(shares.map((share) => [lineKey(share), share]));
  const reasonOf = new Map(left.map(({ row, reason }) => [row, reason]));
  const askedKeys = new Set(asked.map(lineKey));
  const guessed = new Set(recipe.lines.filter(({ sureness }) => sureness === "guess").map(lineKey));
  return {
    openPercent,
    batchGrams: batchGrams ?? recipe.batchGrams,
    phases: recipe.phases,
    rows: recipe.lines.map(({ row, text: typed, kind, material, sureness, notRead }) => {
      const key = lineKey({ row, material });
      const share = shareOf.get(key);
      const facts = material === null ? undefined : bySlug.get(material);
      return {
        key,
        typed,
        kind,
        name: facts === undefined ? null : shownMaterial(facts).name,
        sureness,
        percent: share?.percent ?? null,
        takesTheRest: share !== undefined && share.percent === null,
        isEstimate: share?.isEstimate ?? false,
        isAsked: askedKeys.has(key),
        problem: reasonOf.get(row) ?? (notRead === "" || askedKeys.has(key) ? null : `not read: ${notRead}`),
      };
    }),
    lines: [
      ...shares.map(({ row, phase, material, percent, assayPercent }) => ({
        ...{ row, phase, material, assayPercent },
        percent: percent === null ? "" : percentText(Number(percent.toFixed(SHARE_DECIMALS))),
        takesTheRest: percent === null,
      })),
      ...asked.map((line) => ({ ...line, percent: "", takesTheRest: false, assayPercent: null })),
    ]
      .sort((one, other) => one.row - other.row)
      .map(({ row, material, ...line }) => {
        const key = lineKey({ row, material });
        return { ...line, key, isGuess: guessed.has(key), materialId: idOf.get(material) ?? "" };
      }),
  };
}

/** One row may hold several materials. */
function lineKey({ row, material }: { readonly row: number; readonly material: string | null }): string {
  return `${row} ${material ?? ""}`;
}

export type UnderstoodRecipe = Awaited<ReturnType<typeof understandRecipe>>;
