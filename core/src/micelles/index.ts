export { answerMicelles, type MicellesAnswer } from "./answerMicelles.ts";
export type { Surfactant } from "./blend.ts";
export { SEVERAL_MICELLE_TYPES } from "./binding.ts";
export { blendInUse, micellesInUse, type BlendInUse, type MicellesInUse } from "./inUse.ts";
export { interaction } from "./interactions.ts";
export { mildnessOf, type Mildness } from "./mildness.ts";
export { mixedMicelles, type MixedMicelles } from "./mixedMicelles.ts";
export { freeAnionicMillimolar, reliefOf } from "./relief.ts";
export { triangleOf, trianglePoints, type BlendTriangle } from "./triangle.ts";
