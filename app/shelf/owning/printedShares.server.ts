import type { MaterialsBySlug } from "@tensidrum/core/library";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { unmix } from "@tensidrum/core/stability";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedMaterial } from "./materialFields";

type Told = { readonly typed: TypedMaterial; readonly isEstimated: boolean } | { readonly problem: FieldProblem };

/** A share that is told: "Glycerin 60", "Glycerin, 60 %". */
const SHARE = /[\s:,]\d[\d.,]*\s*%?$/;
const PER_PERCENT = 100;

/**
 * INCI names without any percent are the list printed on a bought base: its order says what is in it. Shares are estimated
 * from the order and the usual amounts of the names; what was typed with percents stays as it is.
 */
export async function withPrintedShares(typed: TypedMaterial, library: MaterialsBySlug): Promise<Told> {
  const names = typed.inci
    .split(/[;\n]/)
    .map((line) => line.trim())
    .filter((line) => line !== "");
  if (typed.parts.trim() !== "" || names.length < 2 || names.some((name) => SHARE.test(name))) return { typed, isEstimated: false };
  const { ranges, feasible, text } = unmix(
    { ingredients: names.map((name) => ({ name })), onePercentLineAfter: null },
    library,
    await loadLinearSolver(),
  );
  if (!feasible) return { problem: { field: "inci", message: text } };
  const rounded = ranges.map(({ typical }) => Math.round(typical * PER_PERCENT) / PER_PERCENT);
  // What rounding leaves stands with the first, of which there is most.
  const left = 100 - rounded.reduce((sum, percent) => sum + percent, 0);
  const inci = names.map((name, at) => `${name} ${((rounded[at] ?? 0) + (at === 0 ? left : 0)).toFixed(2)}`).join("\n");
  return { typed: { ...typed, inci }, isEstimated: true };
}
