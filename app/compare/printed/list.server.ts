import { acidityOf } from "@tensidrum/core/acidity";
import { assess, coreVersion } from "@tensidrum/core/assessment";
import { formulaOfDraft, noAim, nothingMeasured, profiles, type ProfileSlug } from "@tensidrum/core/formula";
import { nameOfSlug, notChosen, type Material } from "@tensidrum/core/library";
import { Refusal } from "@tensidrum/core/quantities";
import { broughtWater, printedLines, printedNames } from "@tensidrum/core/recipe";
import { usualAmounts } from "@tensidrum/core/stability";
import { findProduct, saveProduct } from "../../../db/comparison/queries.server";
import { insertFormula } from "../../../db/formulas/writes.server";
import { standingLots } from "../../../db/inventory/queries.server";
import { listMaterials } from "../../../db/materials/queries.server";
import { listScales } from "../../../db/scales/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import type { TypedList } from "./listForms.server";

const USUAL_GRAMS = 500;
const DECIMALS = 2;
const NAME_LENGTH = 120;

async function productOf(productId: string) {
  const product = await findProduct(database(), currentMakerId(), productId);
  if (product === undefined) throw new Refusal("not-found", "This product is not here.", "Go to Compare and look for it there.");
  return product;
}

/** The list of a product, name by name, with what is usual of each and what is known of it. */
export async function openList(productId: string) {
  const [product, stored] = await Promise.all([productOf(productId), listMaterials(database(), currentMakerId())]);
  const library = new Map(stored.map(({ facts }) => [facts.slug, facts]));
  const usual = usualAmounts(library);
  const names = product.printed.trim() === "" ? [] : printedNames(product.printed);
  const slugs = new Set((await standingLots(database(), currentMakerId())).map(({ material }) => material));
  const water = broughtWater(
    names.map(({ name }) => name),
    [...library.values()],
    slugs,
  );
  const chosen = printedLines(
    names.map(({ name }) => ({ name, percent: 1 })),
    [...library.values()],
    slugs,
  );
  return {
    id: productId,
    name: product.name,
    known: product.known,
    profile: product.profile,
    dryMatterPercent: product.dryMatterPercent,
    ph: product.ph,
    names: names.map(({ name, percent, mayContain }, at) => {
      const amount = usual(name);
      const material = library.get(chosen[at]?.material ?? "");
      return {
        ...{ name, printedPercent: percent, mayContain },
        recognised: amount === null || amount.name === name ? null : amount.name,
        usual: amount === null ? null : { low: amount.low, high: amount.high },
        charge: material?.role === "surfactant" ? material.charge : null,
        isCleanser: material?.role === "surfactant",
        broughtWater: water[at] ?? 0,
        /** What 1 % of it brings, by the material that would bring it. */
        acidity: material === undefined ? [] : acidityOf(material, chosen[at]?.forOnePercent ?? 0, library),
      };
    }),
    profiles: profiles.map(({ slug, name, activePercent }) => ({ slug, name, activePercent })),
  };
}

export type OpenList = Awaited<ReturnType<typeof openList>>;

/** Keeps what is known of a list, or sends its lines to a new sheet and answers where that lies. */
export async function changeList(productId: string, typed: TypedList): Promise<{ readonly formulaId: string } | null> {
  const product = await productOf(productId);
  const names = printedNames(product.printed);
  if (typed.percents.length !== names.length) {
    throw new Refusal("not-possible", "The list has changed in the meantime.", "Load the page again and read it anew.");
  }
  const pins = Object.fromEntries(typed.pins.flatMap((pin, at) => (pin === "" ? [] : [[String(at), Number(pin)]])));
  const onePercentAfter = typed.after === "" ? null : Number(typed.after);
  const { hasPhoto: _, makerId: __, changedAt: ___, ...row } = product;
  const dryMatterPercent = typed.dryMatter === "" ? null : Math.min(100, Number(typed.dryMatter));
  const ph = typed.ph === "" ? null : Math.min(14, Number(typed.ph));
  await saveProduct(database(), currentMakerId(), {
    ...row,
    dryMatterPercent,
    ph,
    known: { pins, onePercentAfter },
    profile: typed.profile,
  });
  if (typed.intent === "keep") return null;
  const shares = names.map(({ name }, at) => ({ name, percent: Number(typed.percents[at] ?? "0") }));
  return sheetOf(product.name, typed.profile === "" ? "everyday-shampoo" : typed.profile, shares);
}

interface NewLine {
  readonly id: string;
  readonly phase: string;
  readonly material: string;
  /** Null on the q.s. line. */
  percent: number | null;
  readonly takesTheRest: boolean;
  asWritten: string;
  readonly assayPercent: number | null;
}

/** A sheet with the lines that bring what is printed, from the maker's lots where there are some. */
async function sheetOf(product: string, profile: ProfileSlug, shares: readonly { readonly name: string; readonly percent: number }[]) {
  const [db, makerId] = [database(), currentMakerId()];
  const [stored, lots, scales] = await Promise.all([listMaterials(db, makerId), standingLots(db, makerId), listScales(db, makerId)]);
  const idOf = new Map(stored.map(({ id, facts }) => [facts.slug, id]));
  const library = new Map<string, Material>(stored.map(({ facts }) => [facts.slug, facts]));
  const certified = new Map(
    lots.flatMap(({ material, assayPercent }) => (assayPercent === null ? [] : [[material, assayPercent] as const])),
  );
  const found = printedLines(shares, [...library.values()], new Set(lots.map(({ material }) => material)));
  const weighed = found.filter(({ percent, takesTheRest }) => takesTheRest || (percent ?? 0) > 0);
  const lines: NewLine[] = [];
  for (const { material, percent, takesTheRest, name } of weighed) {
    // One line for a material: what two names bring is one bottle. A name nobody knows is a line of its own, to be chosen.
    const before = material === null ? undefined : lines.find((line) => line.material === material);
    if (before !== undefined) {
      before.percent = before.percent === null || percent === null ? null : before.percent + percent;
      before.asWritten = `${before.asWritten}, ${name}`.slice(0, NAME_LENGTH);
      continue;
    }
    const slug = material ?? notChosen.slug;
    lines.push({
      ...{ id: crypto.randomUUID(), phase: "A", material: slug, percent, takesTheRest, asWritten: name },
      assayPercent: certified.get(slug) ?? null,
    });
  }
  for (const line of lines) line.percent = line.percent === null ? null : Number(line.percent.toFixed(DECIMALS));
  const aim = { ...noAim, closeTo: product };
  const name = `Close to ${product}`.slice(0, NAME_LENGTH);
  const draft = { name, profile, batchGrams: USUAL_GRAMS, scales, phases: [{ id: "A" }], lines, aim };
  const ids = { formulaId: crypto.randomUUID(), versionId: crypto.randomUUID() };
  await insertFormula(db, makerId, ids, {
    ...{ name, profile, batchGrams: USUAL_GRAMS, aim, measured: nothingMeasured, method: "", coreVersion },
    phases: [{ letter: "A", title: "", temperatureC: null }],
    lines: lines.map(({ phase, material, ...line }) => ({
      ...line,
      phaseLetter: phase,
      materialId: idOf.get(material) ?? missing(material, library),
    })),
    assessment: assess(formulaOfDraft(draft), library),
  });
  return { formulaId: ids.formulaId };
}

function missing(slug: string, library: ReadonlyMap<string, Material>): never {
  throw new Refusal("not-found", `${nameOfSlug(slug, library)} is not in the library any more.`, "Load the page again.");
}
