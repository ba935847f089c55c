import { isCalendarDay, readMassGrams, readNumber, readPercent, writtenPercent } from "@tensidrum/core/quantities";
import { useUnits } from "../frame/units";
import { Vessel } from "../pictures/Vessel/Vessel";
import type { TypedLot } from "./readLot";
import type { OpenReceive } from "./receive.server";
import classes from "./LotForm.module.css";

interface AsItWillStandProps {
  readonly typed: TypedLot;
  readonly materials: OpenReceive["materials"];
}

/** The bottle as it will stand on the shelf, with what its label says, while one types. */
export function AsItWillStand({ typed, materials }: AsItWillStandProps) {
  const { mass, money } = useUnits();
  const material = materials.find(({ slug }) => slug === typed.material);
  const grams = readMassGrams(typed.grams);
  const packGrams = grams.ok && grams.value > 0 ? grams.value : null;
  const price = readNumber(typed.price);
  const assay = readPercent(typed.assay);
  return (
    <section className={classes.stands} aria-labelledby="stands-head">
      <h2 id="stands-head">On the shelf</h2>
      {material === undefined ? (
        <p>Choose the material and type what came in the pack. The bottle stands here as it will on the shelf.</p>
      ) : (
        <div>
          <Vessel {...material} tint="var(--stratum-plain)" packGrams={packGrams ?? 1} leftGrams={packGrams ?? 0} />
          <dl>
            <dt>{material.name}</dt>
            <dd>{typed.code === "" ? "no lot code yet" : `lot ${typed.code}`}</dd>
            <dd>{packGrams === null ? "amount not known yet" : mass(packGrams)}</dd>
            {assay.ok && assay.value > 0 && <dd>{writtenPercent(assay.value)} % active by its certificate</dd>}
            {packGrams !== null && price.ok && price.value > 0 && <dd>{money((1000 * price.value) / packGrams)} a kilogram</dd>}
            {isCalendarDay(typed.endsOn) && <dd>expires {typed.endsOn}</dd>}
          </dl>
        </div>
      )}
    </section>
  );
}
