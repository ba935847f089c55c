export { bookedForBatch, wantedOfLots } from "./bookedForBatch.ts";
export type { Booked, Booking, LotShare } from "./bookedForBatch.ts";
export { lotsOfLine } from "./lotsOfLine.ts";
export type { LotOfLine, LotsOfLine } from "./lotsOfLine.ts";
export { needsAttention } from "./needsAttention.ts";
export type { Concern, StandingLot, AttentionItem } from "./needsAttention.ts";
export { packPriceOf } from "./shelfLot.ts";
export type { ShelfLot } from "./shelfLot.ts";
export { shiftShare } from "./shiftShare.ts";
