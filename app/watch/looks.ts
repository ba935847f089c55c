/** How thickness is told in a check. */
export const thicknessWays = ["Pa·s", "funnel, s", "bead, s", "word"] as const;

export type ThicknessWay = (typeof thicknessWays)[number];

/** Where a sample stands, as it is said. */
export const storageNames = {
  room: "room, about 20 °C",
  warm: "warm, 40 °C",
  cold: "cold, 5 °C",
  "freeze-thaw": "frozen and thawed",
  light: "in the light",
} as const;

/** What a falling bead is told by, beside its seconds, with what is usual. */
export const beadFields = [
  { name: "beadMm", label: "bead, across", unit: "mm", usual: "3" },
  { name: "beadDensity", label: "its density", unit: "g/mL", usual: "2.5" },
  { name: "jarMm", label: "jar, across", unit: "mm", usual: "40" },
  { name: "fallMm", label: "it fell", unit: "mm", usual: "100" },
] as const;

export type BeadField = (typeof beadFields)[number]["name"];
