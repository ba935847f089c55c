export { charges } from "./material.ts";
export type * from "./material.ts";
