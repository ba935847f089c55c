export { activeContentOf, activeMatterOfLine, chargeShares, placeInWindow, sumActiveMatter } from "./activeMatter.ts";
export type { ActiveMatter, ByCharge } from "./activeMatter.ts";
export { cleansersOf, type Cleanser } from "./cleansers.ts";
export { foamOf, foamWords, looseOilPercent, type Foam } from "./foam.ts";
export { irritationBand, irritationOf, zeinIndex, type Irritation, type IrritationBand } from "./irritation.ts";
