export { judgementOf } from "@tensidrum/core/assessment";
