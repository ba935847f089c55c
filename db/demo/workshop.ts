/** The wardrobe workshop of a lakeside summer theatre: the one maker there is for now. */
export const workshop = { id: "5ea50000-0000-4000-8000-000000000001", name: "Wardrobe workshop" } as const;

/** The scales every new maker begins with; they can be changed on the Sheet. */
export const firstScales = [
  { name: "bench", readabilityGrams: 0.1, capacityGrams: 3000 },
  { name: "fine", readabilityGrams: 0.01, capacityGrams: 200 },
] as const;
