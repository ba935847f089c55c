import type { Charge } from "@tensidrum/core/library";

/** Sign and name of a charge type. The sign is written with true minus and plus-minus. */
export const chargeWords: Readonly<Record<Charge, { readonly sign: string; readonly name: string }>> = {
  anionic: { sign: "\u2212", name: "anionic" },
  amphoteric: { sign: "\u00b1", name: "amphoteric" },
  nonionic: { sign: "0", name: "nonionic" },
  cationic: { sign: "+", name: "cationic" },
};
