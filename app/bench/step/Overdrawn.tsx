import { writtenMass } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import type { OverdrawnLot } from "../lots/lots.server";
import classes from "./Step.module.css";

/** More was weighed than a lot held: the weight is kept, and the maker is asked which of the two is wrong. */
export function Overdrawn({ batch, lots }: { readonly batch: string; readonly lots: readonly OverdrawnLot[] }) {
  if (lots.length === 0) return null;
  return (
    <p role="status" className={classes.problem}>
      {lots.map(({ line, lotId, code, missingGrams }) => (
        <span key={`${line} ${lotId}`}>
          Lot {code}: {writtenMass(missingGrams)} more was weighed than the stock ledger held.{" "}
        </span>
      ))}
      The weight is kept. <Link to={`/bench/${batch}/lots`}>Correct the balance or choose another lot</Link>
    </p>
  );
}
