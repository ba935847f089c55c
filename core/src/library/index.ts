export { briefMaterial, wholeMaterial } from "./briefMaterial.ts";
export type { BriefMaterial } from "./briefMaterial.ts";
export { factDifferences } from "./factDifferences.ts";
export type { FactDifference } from "./factDifferences.ts";
export { isSameMaterial, saysTheSame } from "./isSameMaterial.ts";
export { marketOf, markets } from "./markets.ts";
export type { Market, MarketSlug } from "./markets.ts";
export { charges, forms, roles } from "./material.ts";
export type {
  AcidBaseFacts,
  ActiveContent,
  Charge,
  Form,
  InciEntry,
  Material,
  MaterialFacts,
  MaterialPart,
  MaterialsBySlug,
  NestedMaterial,
  PlainMaterial,
  PreservativeFacts,
  Role,
  Span,
} from "./material.ts";
export { isNotChosen, namedAsWritten, notChosen } from "./notChosen.ts";
export { ownableFacts, withOwnFacts } from "./ownFacts.ts";
export type { OwnFacts, OwnableFact } from "./ownFacts.ts";
export { nameOfSlug, roleOf, shownInci, shownMaterial } from "./shownMaterial.ts";
export { slugOf } from "./slugOf.ts";
