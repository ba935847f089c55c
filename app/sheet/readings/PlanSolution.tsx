import { finestFirst, tooSmallCures } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { useSheet } from "../SheetState";

/** The way to a stock solution of what is too small to weigh, at the strength that weighs well. */
export function PlanSolution({ lineId }: { readonly lineId: string }) {
  const { sheet, readings } = useSheet();
  const line = readings.shown.lines.find(({ id }) => id === lineId);
  const slug = readings.formula.lines.find(({ id }) => id === lineId)?.material;
  const finest = finestFirst(sheet.scales)[0];
  if (line === undefined || slug === undefined || finest === undefined || line.percent <= 0) return null;
  const { stock } = tooSmallCures(line.grams, line.percent, finest.readabilityGrams);
  if (stock === null) return null;
  return (
    <>
      {" "}
      <Link to={`/shelf/make/solution?of=${slug}&strength=${stock.strengthPercent}`} data-act="Plan a stock solution of it">
        Plan the solution
      </Link>
    </>
  );
}
