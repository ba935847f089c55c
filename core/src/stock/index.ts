export { mixOfLots } from "./mixOfLots.ts";
export type { LotTaken, MixOfLots } from "./mixOfLots.ts";
export { seeTo } from "./seeTo.ts";
export type { Concern, StandingLot, ToSeeTo } from "./seeTo.ts";
export { packPriceOf } from "./shelfLot.ts";
export type { ShelfLot } from "./shelfLot.ts";
