export { lotsOfLine } from "./lotsOfLine.ts";
export type { LotOfLine, LotsOfLine } from "./lotsOfLine.ts";
export { seeTo } from "./seeTo.ts";
export type { Concern, StandingLot, ToSeeTo } from "./seeTo.ts";
export { packPriceOf } from "./shelfLot.ts";
export type { ShelfLot } from "./shelfLot.ts";
export { bookedForBatch, wantedOfLots } from "./bookedForBatch.ts";
export { shiftShare } from "./shiftShare.ts";
export type { Booked, Booking, LotShare } from "./bookedForBatch.ts";
