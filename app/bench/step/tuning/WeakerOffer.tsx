import { type WeighableAgent } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { BoxButton } from "../BoxButton";
import classes from "./Tuning.module.css";

interface WeakerOfferProps {
  readonly offer: WeighableAgent;
  /** What is advised of the solution that is hard to weigh. */
  readonly dose: { readonly name: string; readonly grams: number };
  /** The solution that can be taken instead of the one in use. */
  readonly use: { readonly name: string; readonly onUse: () => void };
}

/** The dose of one solution is a few steps of the scale; of a weaker one it can be hit. Which of them is used is the maker's choice. */
export function WeakerOffer({ offer, dose, use }: WeakerOfferProps) {
  const steps = Math.max(1, Math.round(offer.steps));
  return (
    <p className={classes.again} role="status">
      <span>
        {written(dose.grams, 3)} g of {dose.name} is {steps === 1 ? "one step" : `${steps} steps`} of your finest scale. Of{" "}
        {offer.agent.name} it is {written(offer.grams, 2)} g.
      </span>
      <BoxButton onClick={use.onUse} data-act="Use the other solution">
        Use {use.name}
      </BoxButton>
    </p>
  );
}
