import type { LatherFeel, LatherWay } from "@tensidrum/core/stability";

/** The ways of testing lather, as they are called. */
export const wayNames: Readonly<Record<LatherWay, string>> = {
  shake: "Shake test",
  hand: "On the hand",
  loofah: "On a loofah",
  hair: "On hair",
  pump: "Foam pump",
  whipped: "Whipped",
};

/** What is done, the same way each time. */
export const wayWords: Readonly<Record<LatherWay, string>> = {
  shake:
    "Stir 1 g into 99 g of warm water without making foam, pour 50 mL into a lidded cylinder, shake ten times, and read the height of the foam at once, after one minute and after five.",
  hand: "Wet both hands, take 1 g, rub ten turns, count the seconds until it lathers and until it is rinsed off.",
  loofah: "Wet the loofah, put 2 g on it, squeeze ten times, count the seconds until it lathers and until it is rinsed out.",
  hair: "Wet a strand of about 5 g, put 1 g on it, rub it twenty strokes, count the seconds until it lathers and until it is rinsed off.",
  pump: "Weigh a small jar empty. Pump foam into it up to a mark whose volume you know, level it, and weigh it again.",
  whipped: "Weigh a jar empty. Fill it with the whipped wash, tap it twice on a cloth, level it, and weigh it again.",
};

export const feelNames: Readonly<Record<LatherFeel, string>> = {
  slip: "slip while washing",
  rinse: "rinses off",
  afterFeel: "after-feel: 5 soft",
  scent: "scent: 5 as it should",
};
