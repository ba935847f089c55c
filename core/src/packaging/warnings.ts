import { leavesOf } from "../formula/leaves.ts";
import type { Profile } from "../formula/profiles.ts";
import type { ResolvedSheet } from "../formula/types.ts";

/** What every label of a wash says, whatever is in it. */
const ALWAYS: readonly string[] = [
  "For outside use only, on unbroken skin.",
  "Keep out of the eyes; if it gets in, rinse with plenty of water.",
  "Try a little on the inner arm and wait 24 hours before first use.",
  "Stop using it when the skin reddens, itches or burns.",
  "Not for children under three unless a professional has assessed it.",
];

const TRACES: Readonly<Record<string, string>> = {
  "nut-allergen": "nuts",
  "gluten-allergen": "gluten",
  "soy-allergen": "soya",
};

/** What the label itself says: what always stands, traces of what some must avoid, and what the kind of product asks for. */
export function labelCautions(sheet: ResolvedSheet, profile: Profile): readonly string[] {
  const flags = new Set<string>();
  for (const { material, percent } of sheet.lines) {
    if (percent === 0) continue;
    for (const flag of material.flags) flags.add(flag);
    for (const leaf of leavesOf(material, sheet.materials)) {
      for (const flag of leaf.material.flags) if (flag in TRACES) flags.add(flag);
    }
  }
  const hasGrains = sheet.lines.some(({ material, percent }) => percent > 0 && material.role === "exfoliant");
  const traces = Object.entries(TRACES).flatMap(([flag, word]) => (flags.has(flag) ? [word] : []));
  return [
    ...ALWAYS,
    ...(traces.length > 0 ? [`Contains, or may contain traces of: ${traces.join(", ")}.`] : []),
    ...(hasGrains ? ["Holds grains that scrub: rub gently, never on sore skin or near the eyes."] : []),
    ...(profile.slug === "powder-cleanser" ? ["Powder: do not breathe in the dust; keep it dry."] : []),
    ...(profile.slug === "cleansing-oil" ? ["Keep water and wet fingers out of the container."] : []),
    ...(profile.slug === "shake-remover" ? ["Shake before use."] : []),
    ...(flags.has("eye-irritant") && sheet.formula.eyeArea === true
      ? ["Holds material that irritates the eye: not for the eye area."]
      : []),
  ];
}

/** What the label of a bench bottle says: it is no cosmetic, and what its materials ask for. */
export function benchCautions({ lines }: ResolvedSheet): readonly string[] {
  const cautions = lines.flatMap(({ material, percent }) => (percent > 0 && material.caution !== null ? [material.caution] : []));
  const isCorrosive = lines.some(({ material, percent }) => percent > 0 && material.flags.includes("corrosive"));
  return [...(isCorrosive ? ["Corrosive: gloves and goggles."] : []), "Keep away from children and food.", ...new Set(cautions)];
}

/** Warnings for who makes the label: what it says itself, and the notes of law of its materials. */
export function labelWarnings(sheet: ResolvedSheet, profile: Profile): readonly string[] {
  const notes = new Set<string>();
  for (const { material, percent } of sheet.lines) {
    if (percent === 0) continue;
    for (const note of material.restrictions) notes.add(`${material.name}: ${note}`);
  }
  return [
    ...labelCautions(sheet, profile),
    ...[...notes].map((note) => (note.endsWith(".") ? note : `${note}.`)),
    "Names, thresholds and warnings differ from place to place: the authority where you sell decides.",
  ];
}
