import { smallDoseWay } from "@tensidrum/core/formula";
import { finestFirst, tooSmallCures } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { useSheet } from "../SheetState";

/** Colours are looked at drop by drop, from a solution of this strength, %. */
const COLOUR_STRENGTH = 1;

/** The way to what helps where a material is too small to weigh: a stock solution, a scent blend, or a dilution in oil. */
export function PlanSolution({ lineId }: { readonly lineId: string }) {
  const { sheet, readings, known } = useSheet();
  const line = readings.shown.lines.find(({ id }) => id === lineId);
  const slug = readings.formula.lines.find(({ id }) => id === lineId)?.material;
  const finest = finestFirst(sheet.scales)[0];
  if (line === undefined || slug === undefined || finest === undefined || line.percent <= 0) return null;
  const material = known.materials.bySlug.get(slug);
  const way = material === undefined ? "solution" : smallDoseWay(material);
  if (way === "scent") {
    return (
      <>
        {" "}
        <Link to={`/scents?with=${slug}`} data-act="Begin a scent with it">
          Begin a scent with it
        </Link>
      </>
    );
  }
  const { stock } = tooSmallCures(line.grams, line.percent, finest.readabilityGrams);
  const strength = way === "colour" ? COLOUR_STRENGTH : stock?.strengthPercent;
  if (strength === undefined) return null;
  if (way === "oil") {
    return (
      <>
        {" "}
        <Link to={`/shelf/materials/new?thinned=${slug}&strength=${strength}`} data-act="Thin it with oil">
          Thin it with oil
        </Link>
      </>
    );
  }
  return (
    <>
      {" "}
      <Link to={`/shelf/make/solution?of=${slug}&strength=${strength}`} data-act="Plan a stock solution of it">
        Plan the solution
      </Link>
    </>
  );
}
