import { preservativeReadings } from "@tensidrum/core/preservation";
import { rawPhPlan, type RawPhPlan } from "@tensidrum/core/process";
import { written, writtenMass } from "@tensidrum/core/quantities";
import { memo, useMemo } from "react";
import type { SheetReadings } from "../useReadings";
import { EstimateMark } from "../../components/estimates/EstimateMark";
import classes from "./MoreReadings.module.css";

/** An estimate with so wide a range says no more. */
const SURE_DIGITS = 2;
/** Less than this works in no wash, %. */
const HARDLY = 0.001;

/** The pH the wash will come out with, what to have ready for it, and how its preservative stands until then. */
function RawPh({ readings }: { readonly readings: SheetReadings }) {
  const { formula, shown } = readings;
  const { sheet, doses } = readings.reading.read;
  const { phCorridor: corridor } = shown;
  const plan = useMemo(
    () => (corridor === null || corridor.empty ? null : rawPhPlan(sheet, corridor, formula.batchGrams)),
    [sheet, corridor, formula.batchGrams],
  );
  // A dry product has a pH only once it is wetted.
  if (plan === null || shown.waterActivity === null || formula.measured?.ph !== undefined) return null;
  const { forecast, isOutside } = plan;
  const working = isOutside
    ? preservativeReadings(doses, forecast.ph).reduce((sum, { workingPercent }) => sum + (workingPercent ?? 0), 0)
    : null;
  return (
    <p className={classes.line}>
      <strong>Comes out at about pH {written(forecast.ph, 1)}</strong> ({written(forecast.low, 1)} to {written(forecast.high, 1)}) before it
      is adjusted{isOutside ? "" : ", where it belongs"} <EstimateMark of="rawPh" /> {planWords(plan)}
      {working !== null &&
        doses.some(({ facts }) => facts.acids.length > 0) &&
        ` Until then ${working < HARDLY ? "hardly anything" : `${written(working, 3)} %`} of the acid preservative is effective.`}
    </p>
  );
}

export default memo(RawPh);

function planWords({ dose, target }: RawPhPlan): string {
  if (dose === null) return "";
  const roughly = (grams: number) => writtenMass(Number(grams.toPrecision(SURE_DIGITS)));
  const { typical, low, high } = dose.grams;
  return `Plan about ${roughly(typical)} (${roughly(low)} to ${roughly(high)}) of ${dose.name} for pH ${written(target, 1)}.`;
}
