export { modelEffects } from "./modelEffect.ts";
export { measuredKinds, nearTo, noticedBeside } from "./measured.ts";
export type { MeasuredKind, Measurements, Near } from "./measured.ts";
export { cameTrue, nextChanges } from "./nextRound.ts";
export type { Doses, Expected, ModelEffect, NextChange, Round } from "./nextRound.ts";
export { toldApart } from "./toldApart.ts";
export type { ToldApart } from "./toldApart.ts";
