export type { ClarityOutlook } from "./clarity.ts";
