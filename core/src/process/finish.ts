import type { ResolvedLine } from "../formula/types.ts";
import { foamsItself } from "../rheology/routes.ts";
import type { Planner } from "./planner.ts";
import type { VesselId } from "./step.ts";
import { isHot } from "./tasks.ts";

const HOUR = 60;

/** What goes in cool: preservative, scent, vitamins; powders with a spoonful of the batch first. */
export function coolDownPart(plan: Planner): void {
  if (plan.holds("scent")) {
    plan.add({
      id: "scent-into-batch",
      stage: "cool",
      vessel: "main",
      joins: ["scent"],
      title: "Scent into the batch",
      do: "Fold the scent in slowly until it is even again.",
      why: isHot(plan.bench)
        ? "Below 40 °C it stays in; hot it would be in the air of the room."
        : "Stirred in slowly at the end, it draws no air in.",
      wait: { from: 10, until: 20 },
      check: "Look again after ten minutes: scent can thin it.",
    });
  }
  for (const { phase, lines } of plan.takeByPhase("cool-down")) {
    plan.add({
      id: `cool-down-${phase}`,
      stage: "cool",
      vessel: "main",
      title: `Stir in phase ${phase}`,
      do: `${isHot(plan.bench) ? "Below 40 °C: fold in" : "Fold in"} ${plan.amounts(lines)}${lines.length > 1 ? " one after the other" : ""}${lines.some(dissolves) ? ", powders dissolved in a little held-back water" : ""}.`,
      why: isHot(plan.bench)
        ? "Preservatives, scent and vitamins are driven off or broken by heat."
        : "Late and one by one: what clouds or thins the wash shows at once.",
      lines,
    });
  }
  for (const { phase, lines } of plan.takeByPhase("temper")) {
    plan.add({
      id: `temper-${phase}`,
      stage: "cool",
      vessel: "cup",
      title: "Temper the powder",
      do: `Rub ${plan.amounts(lines)} smooth with a spoonful of the batch in a small cup.`,
      why: "Dropped in dry, powder and pigment stay as specks.",
      lines,
      check: "Smooth, no specks.",
    });
    plan.add({
      id: `temper-into-batch-${phase}`,
      stage: "cool",
      vessel: "main",
      joins: ["cup"],
      title: "Tempered powder into the batch",
      do: "Fold it in and rinse the cup with some of the batch.",
      why: "Thinned first, it spreads evenly.",
    });
  }
}

function dissolves({ material }: ResolvedLine): boolean {
  return (material.form === "powder" || material.form === "granule" || material.form === "crystal") && material.solubleIn.includes("water");
}

/** Grains last of all: shear breaks them. */
export function grainPart(plan: Planner): void {
  const grains = plan.take("grains");
  if (grains.length === 0) return;
  plan.add({
    id: "grains",
    stage: "cool",
    vessel: "main",
    title: "Fold in the grains",
    do: `Fold in ${plan.amounts(grains)} by hand.`,
    why: "Shear crushes them, and what dissolves loses its grip.",
    lines: grains,
    check: "Evenly spread; nothing sinks in ten minutes.",
  });
}

/** Beats air in; everything soft is folded in afterwards. */
export function whipPart(plan: Planner): void {
  plan.add({
    id: "whip",
    stage: "cool",
    vessel: "main",
    title: "Whip it",
    do: "Whip at the lowest speed until it stands, then a minute at the highest. Weigh a full measuring cup before and after.",
    why: "The paste holds the air only while it is cool and still soft.",
    check: "Overrun in percent: 100 × (weight before ÷ weight after − 1).",
  });
}

/** pH first, then thickness, then pH again: amphoterics thicken by pH. */
export function tuningPart(plan: Planner): void {
  const isSoap = plan.bench.lines.some(({ material }) => material.flags.includes("soap"));
  const neutral = plan.take("neutralise");
  if (neutral.length > 0) {
    plan.add({
      id: "neutralise",
      stage: "ph",
      vessel: "main",
      title: "Neutralise the polymer",
      do: `Drop ${plan.amounts(neutral)} in slowly; hold the last third back until you have read the pH.`,
      why: "The polymer swells only once its acid groups are neutral.",
      lines: neutral,
      wait: { from: 2, until: 10 },
      check: "It turns from milky to clear and thick.",
    });
  }
  const acids = plan.take("ph");
  plan.add({
    id: "ph",
    stage: "ph",
    vessel: "main",
    title: isSoap ? "Check the pH" : "Read the pH and set it",
    do: isSoap
      ? `Stir 2 g into 18 g distilled water and read: 9 to 10 is right.${acids.length > 0 ? ` Hold back ${plan.amounts(acids)}.` : ""}`
      : `Stir 2 g into 18 g distilled water and read at 20 to 25 °C.${acids.length > 0 ? ` Hold back ${plan.amounts(acids)}: dose it bit by bit as advised, stir, wait two minutes, read again.` : " Correct it with a weak acid or base in small doses."}`,
    why: "Before salt: amphoterics thicken as the pH falls. What is written is only an estimate of what this batch takes.",
    lines: acids,
    wait: { from: 2, until: 5 },
    check: "Inside the corridor on two readings.",
    ...(isSoap ? {} : { tunes: "ph" }),
  });
  thicknessPart(plan);
}

function thicknessPart(plan: Planner): void {
  const late = plan.take("late-thickener");
  const salts = plan.take("salt");
  if (late.length > 0) {
    plan.add({
      id: "late-thickener",
      stage: "thickness",
      vessel: "main",
      title: "Thicken in small steps",
      do: `Fold in ${plan.amounts(late)} a quarter at a time; hold the last quarter back until next morning.`,
      why: "Associative thickeners go on building all night, and too much cannot be taken out.",
      lines: late,
      wait: { from: 10 * HOUR, until: 16 * HOUR },
      check: "Judge next morning.",
      tunes: "polymer",
    });
  }
  if (salts.length > 0) {
    plan.add({
      id: "salt",
      stage: "thickness",
      vessel: "main",
      title: "Thicken with salt",
      do: `Dissolve ${plan.amounts(salts)} in a little of the held-back water. Add it in small parts as advised; hold back what is not needed.`,
      why: "Past its peak every gram of salt makes the wash thinner.",
      lines: salts,
      wait: { from: 5, until: 10 },
      check: "Rest, then look; stop when the last part gained less than a tenth.",
      tunes: "thickness",
    });
  }
  if (late.length + salts.length > 0) {
    plan.add({
      id: "ph-again",
      stage: "ph",
      vessel: "main",
      title: "Read the pH again",
      do: "Take another 10 % dilution and note the reading.",
      why: "Salt and thickener move the reading a little.",
      check: "Still inside the corridor.",
      ...(plan.bench.lines.some(({ material }) => material.flags.includes("soap")) ? {} : { tunes: "ph" }),
    });
  }
}

/** Divides the base into named parts, each with lines of its own. */
export function dividePart(plan: Planner): void {
  const { splits } = plan.bench.sheet.formula;
  if (splits === undefined || splits.length === 0) return;
  const byId = new Map(plan.bench.lines.map((resolved) => [resolved.line.id, resolved]));
  splits.forEach(({ name, sharePercent, lines }, at) => {
    const vessel: VesselId = `part-${at + 1}`;
    const own = lines.map(({ id }) => byId.get(id)).filter((line): line is ResolvedLine => line !== undefined);
    plan.add({
      id: `divide-${at + 1}`,
      stage: "part",
      vessel,
      from: plan.bench.kind === "dry" ? "bowl" : "main",
      title: `Draw the part "${name}"`,
      do: `Weigh ${sharePercent} % of the finished base into a beaker of its own.`,
      why: "Each part gets its own label, so its weight must be known.",
      measures: "part",
    });
    if (own.length === 0) return;
    plan.add({
      id: `part-${at + 1}`,
      stage: "part",
      vessel,
      title: `Finish the part "${name}"`,
      do: `Fold in ${plan.amounts(own)}.`,
      why: "What only this part has goes into it alone.",
      lines: own,
      wait: { from: 10, until: 20 },
      check: "Look again after ten minutes: scent can thin it.",
    });
  });
}

/** Rest, judge, fill. Nothing is fixed before it has rested. */
export function restPart(plan: Planner): void {
  const { profile } = plan.bench.sheet.formula;
  const { from, until, why } = restOf(plan);
  plan.add({
    id: "rest",
    stage: "rest",
    vessel: null,
    title: "Let it rest, covered",
    do: "Cover it and leave it alone.",
    why,
    wait: { from, until },
    check: "Bubbles are gone; look, smell, thickness noted.",
  });
  plan.add({
    id: "fill",
    stage: "finish",
    vessel: null,
    title: "Judge it, then fill",
    do: `Judge thickness, look and pH now, not before.${foamsItself(profile) ? " Pump one container empty of air and look at the foam before you fill them all." : " Fill one container and try it before you fill them all."} Label each with batch and date.`,
    why: "Some pumps froth a gel, and some caps do not let it through.",
    check: "Yield weighed, containers counted, one kept back.",
  });
}

function restOf({ bench }: Planner): { readonly from: number; readonly until: number; readonly why: string } {
  if (bench.sheet.formula.profile === "whipped-cleanser") return { from: 3 * HOUR, until: 12 * HOUR, why: "The foam sets as its fats do." };
  const slow = bench.lines.some(
    ({ material }) => (material.role === "thickener" || material.role === "suspender") && material.flags.includes("hydrates-slowly"),
  );
  if (slow)
    return {
      from: 24 * HOUR,
      until: 48 * HOUR,
      why: "Gums swell for a day or two: what looks thin today is thick the day after tomorrow.",
    };
  if (bench.kind === "dry") return { from: HOUR, until: 24 * HOUR, why: "Scent spreads through the powder, and lumps show." };
  return { from: 8 * HOUR, until: 24 * HOUR, why: "Bubbles rise, it clears, and the thickness settles." };
}
