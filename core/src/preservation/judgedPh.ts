import type { PhCorridor } from "../acidity/corridor.ts";
import type { Profile } from "../formula/profiles.ts";
import type { Formula } from "../formula/types.ts";

/** The pH preservatives are judged at, and where it comes from. */
export type JudgedPh =
  { readonly ph: number; readonly from: "measured" | "corridor" | "profile" } | { readonly ph: null; readonly from: "unknown" };

/** The measured pH, else the corridor's high end, else the profile's: acid preservatives are weakest there. */
export function judgedPh(formula: Formula, corridor: PhCorridor | null, profile: Profile): JudgedPh {
  if (formula.measured?.ph !== undefined) return { ph: formula.measured.ph, from: "measured" };
  if (corridor !== null && !corridor.empty) return { ph: corridor.high, from: "corridor" };
  if (profile.ph !== null) return { ph: profile.ph.high, from: "profile" };
  return { ph: null, from: "unknown" };
}
