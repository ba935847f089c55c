import type { Material } from "./material.ts";
import { notChosen } from "./notChosen.ts";
import { waters } from "./reference/waters.ts";
import { anionicCleansers } from "./reference/anionicCleansers.ts";
import { amphotericCleansers } from "./reference/amphotericCleansers.ts";
import { nonionicCleansers } from "./reference/nonionicCleansers.ts";
import { bases } from "./reference/bases.ts";
import { solubilisersAndSuperfats } from "./reference/solubilisersAndSuperfats.ts";
import { conditionersAndProteins } from "./reference/conditionersAndProteins.ts";
import { thickenersAndSuspenders } from "./reference/thickenersAndSuspenders.ts";
import { humectants } from "./reference/humectants.ts";
import { oilsAndEmulsifiers } from "./reference/oilsAndEmulsifiers.ts";
import { preservativesAndChelators } from "./reference/preservativesAndChelators.ts";
import { acidsBasesAndSalts } from "./reference/acidsBasesAndSalts.ts";
import { powdersAndExfoliants } from "./reference/powdersAndExfoliants.ts";
import { activesAndBotanicals } from "./reference/activesAndBotanicals.ts";
import { scents } from "./reference/scents.ts";
import { colours } from "./reference/colours.ts";

/** Changes whenever a fact of the reference library changes. */
export const referenceLibraryVersion = "1";

/**
 * Every raw material the application knows without being told: typical values, many of them estimates
 * (each material names those in `uncertain`). A maker's own certificate stands above them.
 */
export const referenceLibrary: readonly Material[] = [
  ...waters,
  ...anionicCleansers,
  ...amphotericCleansers,
  ...nonionicCleansers,
  ...bases,
  ...solubilisersAndSuperfats,
  ...conditionersAndProteins,
  ...thickenersAndSuspenders,
  ...humectants,
  ...oilsAndEmulsifiers,
  ...preservativesAndChelators,
  ...acidsBasesAndSalts,
  ...powdersAndExfoliants,
  ...activesAndBotanicals,
  ...scents,
  ...colours,
  notChosen,
];
