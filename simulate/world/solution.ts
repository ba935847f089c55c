/**
 * A solution as it is: thermodynamic constants, activities after Davies (1962), a pH that is an activity. Nothing here is
 * shared with what advises.
 */

/** A weak acid or the acid of a weak base: each site loses one proton. `charge` is that of the form that still has all. */
export interface Protolyte {
  readonly name: string;
  readonly pKas: readonly number[];
  readonly charge: number;
}

export interface Dissolved {
  readonly protolyte: Protolyte;
  /** mmol per kilogram */
  amount: number;
}

const DEBYE_HUCKEL = 0.509;

/** −log₁₀ γ of a single charge at an ionic strength, mol/kg. */
export function activityLoss(ionicStrength: number): number {
  const root = Math.sqrt(ionicStrength);
  return DEBYE_HUCKEL * (root / (1 + root) - 0.3 * ionicStrength);
}

/**
 * Mean charge of one protolyte at a pH. Of an acid of charge z, pK′ = pK + loss (2z − 1): the second proton of phosphate
 * comes off more easily in salt water, that of an ammonium ion less easily.
 */
function meanCharge({ pKas, charge }: Protolyte, ph: number, loss: number): number {
  let ln = 0;
  let [sum, weighted] = [1, charge];
  pKas.forEach((pKa, k) => {
    const apparent = pKa + loss * (2 * (charge - k) - 1);
    ln += (ph - apparent) * Math.LN10;
    const part = Math.exp(ln);
    sum += part;
    weighted += part * (charge - k - 1);
  });
  return weighted / sum;
}

/** Charge of everything in the solution but the strong ions at a pH, mmol/kg. */
export function weakCharge(dissolved: readonly Dissolved[], ph: number, loss: number): number {
  // Free protons and hydroxide are concentrations, the pH is an activity.
  const water = 1000 * 10 ** loss * (10 ** -ph - 10 ** (ph - 13.995));
  return dissolved.reduce((charge, { protolyte, amount }) => charge + amount * meanCharge(protolyte, ph, loss), water);
}

const HALVINGS = 44;

/** The pH at which weak and strong ions balance. */
export function balancePh(dissolved: readonly Dissolved[], strongIons: number, loss: number): number {
  let [low, high] = [-0.5, 14.5];
  for (let k = 0; k < HALVINGS; k += 1) {
    const middle = (low + high) / 2;
    // The charge falls as protons leave.
    if (weakCharge(dissolved, middle, loss) + strongIons > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Constants at infinite dilution, 25 °C (Martell and Smith, Critical Stability Constants, 1974 ff.). */
export const protolytes = {
  citrate: { name: "citrate", pKas: [3.128, 4.761, 6.396], charge: 0 },
  lactate: { name: "lactate", pKas: [3.86], charge: 0 },
  carbonate: { name: "carbonate", pKas: [6.352, 10.329], charge: 0 },
  phosphate: { name: "phosphate", pKas: [2.148, 7.199, 12.35], charge: 0 },
  benzoate: { name: "benzoate", pKas: [4.202], charge: 0 },
  glycolate: { name: "glycolate", pKas: [3.831], charge: 0 },
  triethanolamine: { name: "triethanolamine", pKas: [7.762], charge: 1 },
} as const satisfies Readonly<Record<string, Protolyte>>;

/** The carboxyl of an amphoteric surfactant: how its head group pulls differs from blend to blend. */
export const amphoteric = (pKa: number): Protolyte => ({ name: "amphoteric", pKas: [pKa], charge: 1 });
export const amine = (pKa: number): Protolyte => ({ name: "amine", pKas: [pKa], charge: 1 });
