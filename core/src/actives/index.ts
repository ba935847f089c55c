export { zeinIndex } from "./zeinIndex.ts";
export { activeContentOf, activeMatterOfLine, chargeShares, sumActiveMatter } from "./activeMatter.ts";
export type { ActiveMatter, ByCharge } from "./activeMatter.ts";
