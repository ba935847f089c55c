import type { Readings } from "@tensidrum/core/assessment";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { memo, type ReactNode } from "react";
import { EstimateMark } from "../../components/estimates/EstimateMark";
import classes from "./BlendReading.module.css";

type BlendOf = Pick<
  Readings,
  "irritation" | "foam" | "micelles" | "saltPercent" | "addedSaltPercent" | "electrolytePercent" | "saltPeakPercent"
>;

/** Mildness, foam and salt of the blend. */
export const BlendReading = memo(function BlendReading({
  assessment,
  children,
}: {
  readonly assessment: BlendOf;
  readonly children?: ReactNode;
}) {
  const { irritation, foam, micelles } = assessment;
  return (
    <section className={classes.balance} aria-label="Blend">
      <div className={classes.row}>
        <div>
          <p className={classes.mild}>
            {irritation === null ? (
              <span className={classes.none}>the irritation index cannot be estimated yet</span>
            ) : (
              <>
                <output className={classes.number}>{written(irritation.load, 0)}</output> <strong>{irritation.band}</strong>
                <br />
                irritation index <EstimateMark of="irritation" />
                {micelles?.relief != null && (
                  <span className={classes.why}>
                    {writtenShort(micelles.relief * 100, 0)} % of the free anionic bound in mixed micelles
                  </span>
                )}
              </>
            )}
          </p>
        </div>
        <div>
          <div className={classes.foam}>
            {foam === null ? (
              <span className={classes.none}>foam cannot be estimated yet</span>
            ) : (
              <>
                <span>
                  foam <EstimateMark of="foam" />
                </span>
                <Bar name="initial" value={foam.flash} />
                <Bar name="density" value={foam.density} />
                <Bar name="stability" value={foam.stability} />
                <span className={classes.why}>{foam.words}</span>
              </>
            )}
          </div>
        </div>
      </div>
      <Salt assessment={assessment} />
      {children}
    </section>
  );
});

function Bar({ name, value }: { readonly name: string; readonly value: number }) {
  return (
    <span className={classes.bar}>
      <span>{name}</span>
      <span className={classes.track} aria-hidden="true">
        <span style={{ width: `${value * 10}%` }} />
      </span>
      <span>{written(value, 1)}</span>
    </span>
  );
}

/** Total salt above which blends usually thin, where no curve of the base was fitted, % w/w. */
const USUAL_MOST_PERCENT = 3;

function Salt({ assessment }: { readonly assessment: BlendOf }) {
  const { saltPercent, addedSaltPercent, electrolytePercent, saltPeakPercent } = assessment;
  const most = saltPeakPercent ?? USUAL_MOST_PERCENT;
  const fromMaterials = Math.max(0, saltPercent - addedSaltPercent);
  const share = (percent: number) => `${Math.min(100, (100 * percent) / most)}%`;
  const isOver = saltPercent > most;
  const mostWords =
    saltPeakPercent === null ? "3 %, blends usually thin above" : `${written(saltPeakPercent, 2)} %, peak of this base (fitted)`;
  return (
    <div className={classes.salt}>
      <p>
        <strong>Salt</strong> from materials {written(fromMaterials, 2)} + added {written(addedSaltPercent, 2)} ={" "}
        <strong data-over={isOver || undefined}>{written(saltPercent, 2)} %</strong>
        {electrolytePercent > 0.005 && ` and ${written(electrolytePercent, 2)} % other salts`} <EstimateMark of="salt" />
        <span className="only-for-readers"> on a scale that ends at {mostWords}</span>
      </p>
      <span className={classes.track} aria-hidden="true">
        <span style={{ width: share(fromMaterials) }} />
        <span className={classes.added} style={{ width: share(Math.min(addedSaltPercent, most - fromMaterials)) }} />
      </span>
      <span className={classes.scale} aria-hidden="true">
        <span>0</span>
        <span>{mostWords}</span>
      </span>
    </div>
  );
}
