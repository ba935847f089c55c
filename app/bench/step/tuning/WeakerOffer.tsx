import { type WeighableAgent } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { BoxButton } from "../BoxButton";
import classes from "./Tuning.module.css";

interface WeakerOfferProps {
  readonly offer: WeighableAgent;
  /** What is advised of the solution that was chosen. */
  readonly dose: { readonly name: string; readonly grams: number };
  readonly onUse: () => void;
}

/** The dose is a few steps of the scale: a weaker solution at hand is easier to hit with. */
export function WeakerOffer({ offer, dose, onUse }: WeakerOfferProps) {
  const steps = Math.max(1, Math.round(offer.steps));
  return (
    <p className={classes.again} role="status">
      <span>
        {written(dose.grams, 3)} g of {dose.name} is {steps === 1 ? "one step" : `${steps} steps`} of your finest scale. Of{" "}
        {offer.agent.name} it is {written(offer.grams, 2)} g.
      </span>
      <BoxButton onClick={onUse} data-act="Use the solution whose dose can be weighed">
        Use {offer.agent.name}
      </BoxButton>
    </p>
  );
}
