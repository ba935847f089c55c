import { namedAsWritten } from "../../library/notChosen.ts";
import { leavesOf } from "../../formula/leaves.ts";
import { wholeLines } from "../../formula/resolveLines.ts";
import type { Material } from "../../library/material.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { writtenMass } from "../../quantities/written.ts";
import type { Vessel } from "../step.ts";
import { judgeProcess, processWords } from "../own/judgeProcess.ts";
import { linesOf, suggestedSteps } from "../stepsOf.ts";
import { batchState } from "./batchState.ts";
import { type BatchPlan } from "./batchPlan.ts";
import { contentsOf } from "./contents.ts";

/** A lot a line is to be weighed from. */
export interface LotForBatch {
  readonly line: string;
  readonly code: string;
  readonly wantedGrams: number;
  /** Not promised to another batch, g. */
  readonly freeGrams: number;
  /** ISO date; null where it does not say. */
  readonly endsOn: string | null;
  /** Why nothing is to be taken of it; empty where it is not on hold. */
  readonly onHold: string;
}

export interface PreflightAsk {
  readonly plan: BatchPlan;
  readonly vessels: readonly Vessel[];
  readonly lots: readonly LotForBatch[];
  /** Tare weights that are known, g. */
  readonly tares: ReadonlyMap<string, number>;
  /** ISO date. */
  readonly today: string;
  /** Writes an ISO date as the reader's place does. */
  readonly writtenDay: (iso: string) => string;
}

/** `stop`: it cannot go well so; `ask`: only the maker can see to it; `fine`: seen to. */
export interface PreflightItem {
  readonly id: string;
  readonly state: "stop" | "ask" | "fine";
  readonly what: string;
  readonly why: string;
}

/**
 * What must be right before the first line is weighed: clean and protected, meter, enough of everything, lots in date, and
 * a scale that carries beaker and content.
 */
export function preflight({ plan, vessels, lots, tares, today, writtenDay }: PreflightAsk): readonly PreflightItem[] {
  const items: PreflightItem[] = [
    {
      id: "clean",
      state: "ask",
      what: "Tools, beakers and containers are clean, disinfected and dry.",
      why: "Most microbes come from them, not from the materials.",
    },
    { id: "wear", state: "ask", what: `You wear ${worn(plan)}.`, why: "Materials of this formula require it." },
  ];
  const profile = plan.steps.some(({ stage }) => stage === "ph");
  if (profile) {
    items.push({
      id: "meter",
      state: "ask",
      what: "The meter is calibrated, or strips are at hand.",
      why: "pH is adjusted before thickness.",
    });
  }
  for (const { code, line, wantedGrams, freeGrams } of lots.filter((lot) => lot.wantedGrams > lot.freeGrams)) {
    const what = `Lot ${code} has ${writtenMass(freeGrams)} free; ${nameOfLine(plan, line)} needs ${writtenMass(wantedGrams)}.`;
    items.push({ id: `enough ${code}`, state: "stop", what, why: "Choose another lot too, or make less." });
  }
  if (lots.length > 0 && lots.every((lot) => lot.wantedGrams <= lot.freeGrams)) {
    items.push({
      id: "enough",
      state: "fine",
      what: "There is enough in the chosen lots.",
      why: "It is reserved for this batch once you begin.",
    });
  }
  const withLot = new Set(lots.map(({ line }) => line));
  const bare = [...plan.targets].flatMap(([line, grams]) => (grams > 0 && !withLot.has(line) && !isWaterLine(plan, line) ? [line] : []));
  if (lots.length > 0 && bare.length > 0) {
    items.push({
      id: "without-lot",
      state: "fine",
      what: `No lot is chosen for ${bare.map((line) => nameOfLine(plan, line)).join(", ")}.`,
      why: "The stock ledger and a recall do not know where they came from.",
    });
  }
  for (const { code, line, onHold } of lots) {
    if (onHold === "") continue;
    items.push({
      id: `hold ${code} ${line}`,
      state: "stop",
      what: `Lot ${code} of ${nameOfLine(plan, line)} is on hold: ${onHold}`,
      why: "Choose another lot, or take the hold off on the Shelf.",
    });
  }
  for (const { code, line, endsOn } of lots) {
    if (endsOn === null || endsOn >= today) continue;
    items.push({
      id: `ended ${code}`,
      state: "stop",
      what: `Lot ${code} of ${nameOfLine(plan, line)} expired on ${writtenDay(endsOn)}.`,
      why: "Choose another lot.",
    });
  }
  return [...items, ...processItems(plan, vessels), ...capacityItems(plan, vessels, tares)];
}

/** What the rules stop in the maker's own steps, until the maker says why it stays. */
function processItems({ formula, materials, steps }: BatchPlan, vessels: readonly Vessel[]): readonly PreflightItem[] {
  const { process, ...bare } = formula;
  if (process === undefined) return [];
  const [own, suggested] = [{ steps, vessels }, suggestedSteps(bare, materials)];
  const { lines } = linesOf(bare, materials);
  return judgeProcess(own, suggested, { process, lines })
    .filter(({ severity }) => severity === "stop")
    .map((finding) => ({
      id: `step ${finding.step}`,
      state: "stop",
      what: processWords(finding, own, suggested),
      why: "Change the step in a new draft, or say there why it stays.",
    }));
}

function worn({ formula, materials }: BatchPlan): string {
  const flags = new Set(
    wholeLines(formula).flatMap(({ material }) => {
      const known = materials.get(material);
      return known === undefined ? [] : flagsOf(known, materials);
    }),
  );
  const mask = flags.has("dusty-respirator") ? ["a dust mask"] : [];
  const guard = flags.has("corrosive") || flags.has("eye-irritant") ? ["gloves", "goggles"] : ["gloves"];
  return [...mask, ...guard].join(", ");
}

function flagsOf(material: Material, materials: BatchPlan["materials"]): readonly string[] {
  return [...material.flags, ...leavesOf(material, materials).flatMap((leaf) => leaf.material.flags)];
}

function isWaterLine({ formula, materials }: BatchPlan, line: string): boolean {
  return materials.get(wholeLines(formula).find(({ id }) => id === line)?.material ?? "")?.role === "water";
}

function nameOfLine({ formula, materials }: BatchPlan, line: string): string {
  const found = wholeLines(formula).find(({ id }) => id === line);
  const material = materials.get(found?.material ?? "");
  return material === undefined ? "a line" : shownMaterial(namedAsWritten(material, found?.asWritten)).name;
}

/** Beaker and the most that is ever in it, weighed or poured, must not be more than a scale carries. */
function capacityItems(plan: BatchPlan, vessels: readonly Vessel[], tares: ReadonlyMap<string, number>): readonly PreflightItem[] {
  const strongest = Math.max(0, ...plan.formula.scales.map(({ capacityGrams }) => capacityGrams));
  if (strongest === 0) return [];
  const contents = contentsOf(plan, batchState(plan, []));
  return vessels.flatMap(({ id, name }): PreflightItem[] => {
    const content = Math.max(0, ...plan.steps.filter(({ vessel }) => vessel === id).map((step) => contents.get(step.id) ?? 0));
    const tare = tares.get(id) ?? 0;
    if (content + tare <= strongest) return [];
    const what = `The ${name} would weigh ${writtenMass(content + tare)} with its content; your strongest scale carries ${writtenMass(strongest)}.`;
    return [{ id: `capacity ${id}`, state: "stop", what, why: "Weigh into a smaller beaker in portions, or make less." }];
  });
}
