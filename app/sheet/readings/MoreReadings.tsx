import type { Readings } from "@tensidrum/core/assessment";
import { strengthCurve } from "@tensidrum/core/preservation";
import { shownMaterial, type MaterialsBySlug } from "@tensidrum/core/library";
import { written, writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { memo, useMemo } from "react";
import { Corridor } from "../../pictures/Corridor/Corridor";
import type { CorridorData } from "../../pictures/Corridor/geometry";
import type { SheetReadings } from "../useReadings";
import { useUnchanged } from "../useUnchanged";
import { CostReading } from "./CostReading";
import { EstimateMark } from "./EstimateMark";
import { MeasuredField } from "./MeasuredField";
import classes from "./MoreReadings.module.css";

interface MoreProps {
  readonly readings: SheetReadings;
  readonly materials: MaterialsBySlug;
}

/** pH, keeping and body of the formula, below its lines. */
export const MoreReadings = memo(function MoreReadings({ readings, materials }: MoreProps) {
  const { shown } = readings;
  const corridor = useUnchanged(useMemo(() => corridorData({ readings, materials }), [readings, materials]));
  const { hurdles, waterActivity, densityGramsPerMl, clarity, thickening } = shown;
  const preservatives = shown.preservatives.map((one) => ({ ...one, name: nameIn(materials, one.material) }));
  const keeping = useUnchanged({ hurdles, preservatives, waterActivity });
  const body = useUnchanged({ densityGramsPerMl, clarity, thickening });
  return (
    <>
      <section aria-labelledby="ph-head">
        <h2 id="ph-head">pH</h2>
        <p className={classes.line}>
          <MeasuredField of="ph" /> on a 10 % dilution, as last made
        </p>
        {corridor === null ? <p className={classes.none}>Nothing here asks for a pH.</p> : <Corridor {...corridor} />}
      </section>
      <div className={classes.pair}>
        <Keeping {...keeping} />
        <Body {...body} />
      </div>
    </>
  );
});

function nameIn(materials: MaterialsBySlug, slug: string): string {
  const material = materials.get(slug);
  return material === undefined ? slug : shownMaterial(material).name;
}

function corridorData({ readings, materials }: MoreProps): CorridorData | null {
  const { formula, shown } = readings;
  const corridor = shown.phCorridor;
  if (corridor === null) return null;
  const { doses } = readings.reading.read;
  const own = new Set(["profile", "school", "eye area"]);
  return {
    lanes: corridor.claims.map(({ who, low, high }) => {
      const dose = doses.find(({ material, facts }) => material === who && facts.acids.length > 0);
      const name = own.has(who) ? (who === "profile" ? formula.profile.replaceAll("-", " ") : `the ${who}`) : nameIn(materials, who);
      return {
        name,
        low,
        high,
        isMain: own.has(who) || doses.some(({ material }) => material === who),
        ...(dose === undefined ? {} : { strength: strengthCurve(dose, { low: Math.max(low, 3), high: Math.max(high, 3.5), steps: 24 }) }),
      };
    }),
    low: corridor.low,
    high: corridor.high,
    isEmpty: corridor.empty,
    measured: formula.measured?.ph ?? null,
  };
}

const stateWords = { holds: "holds", weak: "weak", open: "open", unknown: "not known", yours: "yours to do" } as const;
const preservationCheckNames = {
  ph: "pH",
  "water-activity": "free water",
  preservative: "preservative",
  chelator: "chelator",
  "microbe-food": "food for germs",
  "clean-process": "clean work",
  pack: "pack",
} as const;

interface KeepingProps extends Pick<Readings, "hurdles" | "waterActivity"> {
  readonly preservatives: readonly (Readings["preservatives"][number] & { readonly name: string })[];
}

const Keeping = memo(function Keeping({ hurdles, preservatives, waterActivity }: KeepingProps) {
  return (
    <section aria-labelledby="keeping-head">
      <h2 id="keeping-head">Keeping</h2>
      {preservatives.map(({ material, name, percent, low, high, workingPercent }) => (
        <p key={material} className={classes.line}>
          <strong>{name}</strong> {writtenPercent(percent)} %
          {low !== null && high !== null && `, usually ${writtenShort(low, 3)} to ${writtenShort(high, 3)}`}
          {workingPercent !== null && (
            <>
              {" "}
              · {written(workingPercent, 3)} % at work <EstimateMark of="working" />
            </>
          )}
        </p>
      ))}
      <dl className={classes.hurdles}>
        {hurdles.map(({ hurdle, state, says }) => (
          <div key={hurdle} data-state={state}>
            <dt>{preservationCheckNames[hurdle]}</dt>
            <dd>
              <strong>{stateWords[state]}</strong> {says}
            </dd>
          </div>
        ))}
      </dl>
      {waterActivity !== null && (
        <p className={classes.line}>
          Water activity {written(waterActivity, 3)} <EstimateMark of="waterActivity" />
        </p>
      )}
      <p className={classes.none}>None of this replaces a microbiology test.</p>
    </section>
  );
});

const verdictWords = { works: "works", little: "does little", avoid: "leave it" } as const;
const routeNames = {
  salt: "salt",
  gum: "gum",
  associative: "associative polymer",
  "cationic-guar": "cationic guar",
  carbomer: "carbomer",
  "cellulose-algin": "cellulose with algin",
  fatty: "fatty alcohols",
} as const;

const Body = memo(function Body({
  densityGramsPerMl,
  clarity,
  thickening,
}: Pick<Readings, "densityGramsPerMl" | "clarity" | "thickening">) {
  return (
    <section aria-labelledby="body-head">
      <h2 id="body-head">Body</h2>
      <p className={classes.line}>
        Density {densityGramsPerMl === null ? "not known" : `${written(densityGramsPerMl, 3)} g/mL`} <EstimateMark of="density" />{" "}
        <MeasuredField of="density" />
      </p>
      <p className={classes.line}>
        <strong>Likely {clarity.outlook}</strong>: {clarity.why} <EstimateMark of="clarity" />
      </p>
      <p className={classes.line}>
        What thickens it <EstimateMark of="thickening" />
      </p>
      <dl className={classes.hurdles}>
        {thickening.map(({ route, verdict, why }) => (
          <div key={route} data-state={verdict === "works" ? "holds" : "weak"}>
            <dt>{routeNames[route]}</dt>
            <dd>
              <strong>{verdictWords[verdict]}</strong> {why}
            </dd>
          </div>
        ))}
      </dl>
      <CostReading />
    </section>
  );
});
