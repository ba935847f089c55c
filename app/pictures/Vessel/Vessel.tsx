import type { Charge, Form } from "@tensidrum/core/library";
import { useId } from "react";
import { ChargeSign } from "../../components/ChargeSign";
import { ChargeHatches, hatchId } from "../Column/hatches";
import { PLACE, vesselGeometry, vesselKind } from "./geometry";
import classes from "./Vessel.module.css";

interface VesselProps {
  readonly form: Form | null;
  readonly charge: Charge | null;
  readonly isScent: boolean;
  /** A CSS colour for what has no charge. */
  readonly tint: string;
  readonly packGrams: number;
  readonly leftGrams: number;
}

/** One material as it stands: the glass is the pack, the fill what is left. Words beside it say the same. */
export function Vessel({ form, charge, isScent, tint, packGrams, leftGrams }: VesselProps) {
  const prefix = useId().replaceAll(":", "");
  const { glass, cap, fill, centre, signY } = vesselGeometry(vesselKind(form, packGrams, isScent), packGrams, leftGrams);
  return (
    <svg
      className={classes.vessel}
      width={PLACE.width}
      height={PLACE.height + 1}
      viewBox={`0 0 ${PLACE.width} ${PLACE.height + 1}`}
      aria-hidden="true"
    >
      {charge !== null && (
        <defs>
          <ChargeHatches prefix={prefix} />
        </defs>
      )}
      <path d={fill} fill={charge === null ? tint : `url(#${hatchId(prefix, charge)})`} />
      <path className={classes.glass} d={glass} />
      <rect className={classes.cap} {...cap} rx={1.5} />
      {charge !== null && signY !== null && <ChargeSign charge={charge} cx={centre} cy={signY} radius={7} />}
    </svg>
  );
}
