import type { MaterialsBySlug } from "@tensidrum/core/library";
import { loadLinearSolver } from "@tensidrum/core/numerics";
import { printedShares } from "@tensidrum/core/stability";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedMaterial } from "./materialFields";

type Told = { readonly typed: TypedMaterial; readonly isEstimated: boolean } | { readonly problem: FieldProblem };

/** A share that is told: "Glycerin 60", "Glycerin, 60 %". */
const SHARE = /[\s:,]\d[\d.,]*\s*%?$/;

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
  const shares = printedShares(names, library, await loadLinearSolver());
  if (!shares.found) return { problem: { field: "inci", message: shares.reason } };
  const inci = names.map((name, at) => `${name} ${(shares.percents[at] ?? 0).toFixed(2)}`).join("\n");
  return { typed: { ...typed, inci }, isEstimated: true };
}
