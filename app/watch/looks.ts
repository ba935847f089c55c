/** What colour and smell are told by, against the start. */
export const changes = ["as at the start", "weaker", "stronger", "different"] as const;

/** How thickness is told in a check. */
export const thicknessWays = ["Pa·s", "funnel, s", "word"] as const;

export type ThicknessWay = (typeof thicknessWays)[number];

/** Where a sample stands, as it is said. */
export const storageNames = {
  room: "room, about 20 °C",
  warm: "warm, 40 °C",
  cold: "cold, 5 °C",
  "freeze-thaw": "frozen and thawed",
  light: "in the light",
} as const;
