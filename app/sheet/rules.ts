export { judgementWithCures } from "@tensidrum/core/assessment";
