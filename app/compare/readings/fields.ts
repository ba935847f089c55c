/** What is typed of a wash that is compared, as its fields are called. */
export const readingFields = [
  { field: "ph", label: "pH", unit: "", least: 0, most: 14, isOpenBelow: false },
  { field: "pascalSeconds", label: "thickness", unit: "Pa·s", least: 0, most: 100_000, isOpenBelow: true },
  { field: "funnelSeconds", label: "or by the flow cup", unit: "s", least: 0, most: 36_000, isOpenBelow: true },
  { field: "foamAtOnceMm", label: "foam at once", unit: "mm", least: 0, most: 1_000, isOpenBelow: false },
  { field: "foamAfterFiveMm", label: "foam after 5 min", unit: "mm", least: 0, most: 1_000, isOpenBelow: false },
  { field: "slip", label: "slip, 1 to 5", unit: "", least: 1, most: 5, isOpenBelow: false },
  { field: "rinse", label: "rinses off, 1 to 5", unit: "", least: 1, most: 5, isOpenBelow: false },
  { field: "afterFeel", label: "after-feel, 1 to 5", unit: "", least: 1, most: 5, isOpenBelow: false },
  { field: "scent", label: "scent, 1 to 5", unit: "", least: 1, most: 5, isOpenBelow: false },
] as const;

export type ReadingField = (typeof readingFields)[number]["field"];

/** As typed, by field. */
export type TypedReadings = Readonly<Record<ReadingField, string>>;

/** As read; null what nobody measured. */
export type ReadReadings = Readonly<Record<ReadingField, number | null>>;
