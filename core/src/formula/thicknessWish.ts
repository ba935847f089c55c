export const thicknessWishes = ["any", "water-thin", "syrup", "pump-gel", "thick-gel", "spoon-standing"] as const;

/** How thick it should be, in the words one sees it by. */
export type ThicknessWish = (typeof thicknessWishes)[number];
