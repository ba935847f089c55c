import { chargeShares, placeInWindow } from "@tensidrum/core/surfactants";
import type { Sums } from "@tensidrum/core/assessment";
import type { Profile } from "@tensidrum/core/formula";
import type { Charge } from "@tensidrum/core/library";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { memo } from "react";
import { ChargeTag } from "../../components/ChargeSign";
import { chargeWords } from "../../components/chargeWords";
import classes from "./ActiveReading.module.css";

const shown: readonly Charge[] = ["anionic", "amphoteric", "nonionic", "cationic"];

interface ActiveReadingProps {
  readonly sums: Sums;
  readonly profile: Profile;
  /** A surfactant or a base is in it whose strength nobody knows. */
  readonly isUnknown: boolean;
}

const UNKNOWN = { words: "not judged: the strength of a line is unknown", isOff: true };

/** The hero of the Sheet: how much active cleanser, whether that suits the profile, and of which charge it is. */
export function ActiveReading({ sums, profile, isUnknown }: ActiveReadingProps) {
  const { activeMatter } = sums;
  const shares = chargeShares(activeMatter);
  const state = isUnknown ? UNKNOWN : PLACES[placeInWindow(activeMatter.percent, profile.activePercent)];
  const isNothingKnown = isUnknown && activeMatter.percent === 0;
  return (
    <section className={classes.reading} aria-label="Active matter">
      <p className={classes.hero}>
        <output className={classes.number}>{isNothingKnown ? "?" : written(activeMatter.percent, 2)}</output>
        <span className={classes.unit}>%</span>
        <span className={classes.beside}>
          <strong>active matter</strong>
          <span className={classes.state} data-off={state.isOff || undefined}>
            {state.words}
          </span>
          {!isNothingKnown && activeMatter.high > 0 && (
            <span>
              {isUnknown ? "known of it" : "range"} {written(activeMatter.low, 1)} to {written(activeMatter.high, 1)}
            </span>
          )}
        </span>
      </p>
      <p className={classes.window}>
        {profile.name}: {writtenShort(profile.activePercent.low, 2)} to {writtenShort(profile.activePercent.high, 2)} %,{" "}
        {profile.activeReason}.
      </p>
      <ul className={classes.shares} aria-label="Shares of the active matter by charge">
        {shown
          .filter((charge) => charge !== "cationic" || shares.cationic > 0)
          .map((charge) => (
            <ShareRow key={charge} charge={charge} share={written(shares[charge], 1)} amount={written(activeMatter.byCharge[charge], 2)} />
          ))}
      </ul>
    </section>
  );
}

/** One charge type; draws again only when one of its shown numbers changes. */
const ShareRow = memo(function ShareRow({
  charge,
  share,
  amount,
}: {
  readonly charge: Charge;
  readonly share: string;
  readonly amount: string;
}) {
  return (
    <li data-none={amount === "0.00" || undefined}>
      <ChargeTag charge={charge} />
      <span className={classes.chargeName}>{chargeWords[charge].name}</span>
      <span className={classes.bar} aria-hidden="true">
        <span style={{ width: `${share}%`, background: `var(--${charge})` }} />
      </span>
      <span className={classes.share}>
        {share} <small>%</small>
      </span>
      <span className={classes.amount}>
        {amount} <small>% of all</small>
      </span>
    </li>
  );
});

const PLACES = {
  below: { words: "below its window", isOff: true },
  within: { words: "in usual range", isOff: false },
  above: { words: "above its window", isOff: true },
} as const;
