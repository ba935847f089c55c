import type { Charge } from "@tensidrum/core/library";
import { chargeWords } from "./chargeWords";
import classes from "./ChargeDot.module.css";

/** The sign of a charge type in a line of text: one element, since a long sheet shows many. */
export function ChargeDot({ charge }: { readonly charge: Charge }) {
  const { sign, name } = chargeWords[charge];
  return (
    <span className={classes.dot} data-charge={charge} role="img" aria-label={name}>
      {sign}
    </span>
  );
}
