import { isAsForeseen } from "@tensidrum/core/appearance";
import type { ClarityLook } from "@tensidrum/core/process";
import { checkWords, clarityWords, routeWords, type Readings } from "@tensidrum/core/assessment";
import { strengthCurve } from "@tensidrum/core/preservation";
import { shownMaterial, type MaterialsBySlug } from "@tensidrum/core/library";
import { written, writtenPercent, writtenShort } from "@tensidrum/core/quantities";
import { lazy, memo, Suspense, useMemo } from "react";
import { Corridor } from "../../pictures/Corridor/Corridor";
import type { CorridorData } from "../../pictures/Corridor/geometry";
import type { SheetReadings } from "../useReadings";
import { useUnchanged } from "../useUnchanged";
import { CostReading } from "./CostReading";
import { EstimateMark } from "../../components/estimates/EstimateMark";
import { MeasuredField } from "./MeasuredField";
import classes from "./MoreReadings.module.css";

/** It needs the solutions of the bench, which no other reading does. */
const RawPh = lazy(() => import("./RawPh"));

interface MoreProps {
  readonly readings: SheetReadings;
  readonly materials: MaterialsBySlug;
  readonly looked: LookedAt | null;
}

/** How clear a batch of this formula looked. */
export interface LookedAt {
  /** Of the version it was made of. */
  readonly number: number;
  /** Its code. */
  readonly batch: string;
  readonly look: ClarityLook;
}

/** pH, preservation and thickness of the formula, below its lines. */
export const MoreReadings = memo(function MoreReadings({ readings, materials, looked }: MoreProps) {
  const { shown } = readings;
  const corridor = useUnchanged(useMemo(() => corridorData({ readings, materials }), [readings, materials]));
  const { preservationChecks, waterActivity, densityGramsPerMl } = shown;
  const checks = preservationChecks.map((one) => ({ name: one.check, state: one.state, says: checkWords(one, materials) }));
  const electrolyte = shown.saltPercent + shown.electrolytePercent;
  const routes = shown.thickening.map((one) => ({ route: one.route, verdict: one.verdict, why: routeWords(one, electrolyte) }));
  const clarity = { outlook: shown.clarity.outlook, why: clarityWords(shown.clarity, shown.looseOilPercent, materials) };
  const preservatives = shown.preservatives.map((one) => ({ ...one, name: nameIn(materials, one.material) }));
  const preservation = useUnchanged({ checks, preservatives, waterActivity });
  const body = useUnchanged({ densityGramsPerMl, clarity, looked, routes });
  return (
    <>
      <section aria-labelledby="ph-head">
        <h2 id="ph-head">pH</h2>
        <div className={classes.line}>
          <MeasuredField of="ph" /> on a 10 % dilution, as last made
        </div>
        <Suspense fallback={null}>
          <RawPh readings={readings} />
        </Suspense>
        {corridor === null ? <p className={classes.none}>No line needs a certain pH.</p> : <Corridor {...corridor} />}
      </section>
      <div className={classes.pair}>
        <Preservation {...preservation} />
        <Body {...body} />
      </div>
    </>
  );
});

function nameIn(materials: MaterialsBySlug, slug: string): string {
  const material = materials.get(slug);
  return material === undefined ? slug : shownMaterial(material).name;
}

function corridorData({ readings, materials }: Pick<MoreProps, "readings" | "materials">): CorridorData | null {
  const { formula, shown } = readings;
  const corridor = shown.phCorridor;
  if (corridor === null) return null;
  const { doses } = readings.reading.read;
  const own = new Set(["profile", "school", "eye area"]);
  return {
    lanes: corridor.claims.map(({ who, low, high }) => {
      const dose = doses.find(({ material, facts }) => material === who && facts.acids.length > 0);
      const name = own.has(who)
        ? who === "profile"
          ? formula.profile.replaceAll("-", " ")
          : who === "school"
            ? "the style"
            : `the ${who}`
        : nameIn(materials, who);
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

const stateWords = { pass: "pass", weak: "weak", open: "open", unknown: "not known", yours: "your task" } as const;
const preservationCheckNames = {
  ph: "pH",
  "water-activity": "water activity",
  preservative: "preservative",
  chelator: "chelator",
  "microbe-nutrients": "nutrients for microbes",
  "clean-process": "hygiene",
  pack: "pack",
} as const;

interface PreservationProps extends Pick<Readings, "waterActivity"> {
  readonly checks: readonly {
    readonly name: keyof typeof preservationCheckNames;
    readonly state: keyof typeof stateWords;
    readonly says: string;
  }[];
  readonly preservatives: readonly (Readings["preservatives"][number] & { readonly name: string })[];
}

const Preservation = memo(function Preservation({ checks, preservatives, waterActivity }: PreservationProps) {
  return (
    <section aria-labelledby="preservation-head">
      <h2 id="preservation-head">Preservation</h2>
      {preservatives.map(({ material, name, percent, low, high, workingPercent }) => (
        <p key={material} className={classes.line}>
          <strong>{name}</strong> {writtenPercent(percent)} %
          {low !== null && high !== null && `, usually ${writtenShort(low, 3)} to ${writtenShort(high, 3)}`}
          {workingPercent !== null && (
            <>
              {" "}
              · {written(workingPercent, 3)} % effective <EstimateMark of="working" />
            </>
          )}
        </p>
      ))}
      <dl className={classes.checks}>
        {checks.map(({ name, state, says }) => (
          <div key={name} data-state={state}>
            <dt>{preservationCheckNames[name]}</dt>
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
      <p className={classes.none}>Only a microbiology test can confirm this.</p>
    </section>
  );
});

const OUTLOOK_WORDS = {
  clear: "Probably clear",
  clears: "Hazy when made, clear by tomorrow",
  hazy: "Probably hazy",
  cloudy: "Probably cloudy",
} as const;
const verdictWords = { works: "works", weakened: "weakened", little: "little effect", avoid: "avoid" } as const;
const routeNames = {
  salt: "salt",
  gum: "gum",
  associative: "associative polymer",
  "cationic-guar": "cationic guar",
  carbomer: "carbomer",
  "cellulose-algin": "cellulose with algin",
  fatty: "fatty alcohols",
} as const;

interface BodyProps extends Pick<Readings, "densityGramsPerMl"> {
  readonly clarity: { readonly outlook: Readings["clarity"]["outlook"]; readonly why: string };
  readonly looked: LookedAt | null;
  readonly routes: readonly {
    readonly route: keyof typeof routeNames;
    readonly verdict: keyof typeof verdictWords;
    readonly why: string;
  }[];
}

const Body = memo(function Body({ densityGramsPerMl, clarity, looked, routes }: BodyProps) {
  return (
    <section aria-labelledby="body-head">
      <h2 id="body-head">Thickness and looks</h2>
      <div className={classes.line}>
        Density {densityGramsPerMl === null ? "not known" : `${written(densityGramsPerMl, 3)} g/mL`} <EstimateMark of="density" />{" "}
        <MeasuredField of="density" />
      </div>
      <p className={classes.line}>
        <strong>{OUTLOOK_WORDS[clarity.outlook]}</strong>: {clarity.why} <EstimateMark of="clarity" />
        {looked !== null && (
          <>
            {" "}
            Batch {looked.batch} of v{looked.number} was {looked.look}
            {isAsForeseen(clarity.outlook, looked.look) ? "." : ": what was seen counts for more."}
          </>
        )}
      </p>
      <p className={classes.line}>
        Ways to thicken it <EstimateMark of="thickening" />
      </p>
      <dl className={classes.checks}>
        {routes.map(({ route, verdict, why }) => (
          <div key={route} data-state={verdict === "works" ? "pass" : "weak"}>
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
