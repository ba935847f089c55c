import type { ContainerType } from "../../process/batch/fillPlan.ts";

/** What is known of a type of container. */
export interface ContainerFacts {
  readonly name: string;
  /** Thickness it takes, Pa·s at rest; null ends are open. */
  readonly suits: { readonly low: number | null; readonly high: number | null };
  /** One is filled and tried before all are. */
  readonly isTriedFirst: boolean;
  /** What to look at when the first one is filled. */
  readonly trial: string;
  /** How it is filled. */
  readonly tip: string;
}

const plain = { isTriedFirst: false, trial: "", tip: "" };

/**
 * Types of containers, the thickness each takes (rules of thumb of filling practice, given as orders of size) and what shows
 * in the first one. A foaming pump mixes air in only as long as the wash runs like water.
 */
export const containerFacts: Readonly<Record<ContainerType, ContainerFacts>> = {
  bottle: {
    ...plain,
    name: "bottle",
    suits: { low: null, high: 8 },
    isTriedFirst: true,
    trial: "Turn it over: does it run through the neck and the cap, and does the cap close tight?",
    tip: "Pour along the wall, so that no air is drawn in.",
  },
  pump: {
    name: "pump bottle",
    suits: { low: 0.3, high: 15 },
    isTriedFirst: true,
    trial: "Unlock the pump and press ten times: does it draw, give an even portion, and not froth a gel?",
    tip: "Put the pump in after filling: its tube takes up room.",
  },
  "foaming-pump": {
    name: "foaming pump",
    suits: { low: null, high: 0.05 },
    isTriedFirst: true,
    trial: "Press ten times: is it foam from the first or second press, and does the sieve stay free?",
    tip: "Leave the head space free: the pump needs air to make foam.",
  },
  tube: {
    name: "soft tube",
    suits: { low: 1, high: 200 },
    isTriedFirst: true,
    trial: "Squeeze it: does it come out evenly, and does nothing spurt where air was enclosed?",
    tip: "Fill from the bottom up and knock it on the table: air gaps rise.",
  },
  jar: { ...plain, name: "jar", suits: { low: 5, high: null }, tip: "Smooth it against the wall, so that no air is enclosed." },
  "piping-bag": {
    ...plain,
    name: "piping bag",
    suits: { low: 20, high: null },
    tip: "Press the air gaps out towards the open end before you close it.",
  },
  sachet: { ...plain, name: "sachet", suits: { low: null, high: null }, tip: "Keep the seam dry, or it does not hold." },
  bulk: { ...plain, name: "bulk container", suits: { low: null, high: null } },
};

/** Whether a thickness goes into a container; null where the thickness is not known. 20 Pa·s does not go through a foaming pump. */
export function suitsThickness(type: ContainerType, pascalSeconds: number | null): boolean | null {
  if (pascalSeconds === null) return null;
  const { low, high } = containerFacts[type].suits;
  return (low === null || pascalSeconds >= low) && (high === null || pascalSeconds <= high);
}
