import { TextInput, NativeSelect } from "@mantine/core";
import { questionOf, saltsOf, thicknessTuning, upToPeakGrams, type Step } from "@tensidrum/core/process";
import { fittedCurve, thicknessWord } from "@tensidrum/core/rheology";
import { decimalPlaces, finestFirst, readNumber, scaleFor, written } from "@tensidrum/core/quantities";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import { SaltCurvePicture } from "../../../pictures/SaltCurve/SaltCurve";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import { Addition } from "./Addition";
import step from "../Step.module.css";
import { Hydrating, useHydrating } from "./Hydrating";
import { ReadAgain } from "./ReadAgain";
import { ReadThickness } from "./ReadThickness";
import classes from "./Tuning.module.css";
import { ThicknessRows } from "./ThicknessRows";
import { useThicknessAdvice } from "./useAdvice";

/** No smaller chance is promised than what the simulations bear out. */
const LEAST_PROMISED = 0.005;

function chanceWords(chance: number): string {
  return chance < LEAST_PROMISED ? "under 5 in 1,000" : `about ${Math.round(1000 * chance)} in 1,000`;
}

/** The thickness of the batch, up its salt curve in small steps: read, add as advised, rest, read again. */
export function TuneThickness({ step: due }: { readonly step: Step }) {
  const { view, plan, saltSamples, isPractice } = useBench();
  const swelling = useHydrating();
  const salts = useMemo(() => saltsOf(plan), [plan]);
  const [chosen, setChosen] = useState("");
  const [wanted, setWanted] = useState("");
  const salt = salts.find(({ name }) => name === chosen) ?? salts[0];
  const typed = readNumber(wanted);
  const own = typed.ok && typed.value > 0 ? typed.value : null;
  const tuning = useMemo(
    () => (salt === undefined ? null : thicknessTuning(plan, { standing: view.standing }, { salt, wanted: own, saltSamples })),
    [plan, view.standing, salt, own, saltSamples],
  );
  const saltCurve = useMemo(
    () => (tuning === null || tuning.isByWord || tuning.cameBetween !== null ? null : fittedCurve([...tuning.saltSamples, ...tuning.rows])),
    [tuning],
  );
  const advice = useThicknessAdvice(tuning === null || tuning.isAddedSince ? null : tuning.thickening);
  if (tuning === null || salt === undefined) return null;
  const last = tuning.rows.at(-1);
  const unit = tuning.unit ?? "Pa·s";
  const { target, isByWord } = tuning;
  const wantedWords = isByWord ? thicknessWord(target) : `${written(target, 2)} ${unit}`;
  const advised = advice?.recommend.grams ?? 0;
  const grams =
    saltCurve === null || last === undefined
      ? advised
      : upToPeakGrams(advised, { massGrams: tuning.massGrams, saltPercent: last.saltPercent }, { ...saltCurve, ...salt });
  const isCapped = grams < advised;
  const decimals = decimalPlaces(scaleFor(grams, finestFirst(plan.formula.scales))?.readabilityGrams ?? 0.01);
  const isThere = advice?.state === "in-target" || tuning.isOnTarget;
  const [slowest] = swelling;
  const askSalt = (form: { readonly grams: string }): string | null => {
    if (slowest !== undefined) return `${slowest.text} Correct it all the same?`;
    const typedGrams = readNumber(form.grams);
    return typedGrams.ok
      ? questionOf({ kind: "dosed", grams: typedGrams.value }, { last: null, dosedKind: null, advisedGrams: grams })
      : null;
  };
  return (
    <>
      <p className={classes.head}>
        <strong>wanted {wantedWords}</strong>
        {last !== undefined && (
          <span>
            {written(last.viscosity, 2)} {unit} {tuning.isAddedSince ? "before this addition" : "now"}
          </span>
        )}
        <span>salt in it {written(tuning.saltPercentNow, 2)} %</span>
        {tuning.addedGrams > 0 && (
          <span>
            {written(tuning.addedGrams, 2)} g of {salt.name} so far
          </span>
        )}
      </p>
      {tuning.cameBetween !== null && (
        <p className={step.caution}>
          {tuning.cameBetween === "scent" ? "Scent" : "A late thickener"} was added between two readings: they are not on one salt curve,
          and the advice takes them for one. Add less than it says.
        </p>
      )}
      <Hydrating />
      {last === undefined || tuning.isAddedSince ? (
        <ReadThickness
          due={due}
          unit={tuning.unit}
          words={last === undefined ? "How thick is it before any salt?" : "Rested eight minutes? How thick is it now?"}
        />
      ) : advice === null ? (
        <p className={step.do}>Calculating the next addition …</p>
      ) : (
        <Addition
          name={salt.name}
          grams={grams}
          decimals={decimals}
          estimate="A few thousand plausible salt curves are compared with your readings and samples. Bases that hardly answer to salt, plateaus, and cleansers that bring more salt than told are among them. The addition is the one that brings most of them nearer to what is wanted, less what it may spoil: salt cannot be taken out again."
          hidden={{ step: due.id, agent: salt.name }}
          ask={askSalt}
          intent="salt"
          act="The salt is in"
          taken="Added, start 8:00"
        >
          {isCapped
            ? `The curve through samples and readings is safe up to ${written(saltCurve?.safeMaxPercent ?? 0, 2)} % salt${grams > 0 ? `: ${written(grams, decimals)} g more.` : ". Stop here."}`
            : advice.text}
          {grams > 0 && !isCapped && ` Chance of passing the peak: ${chanceWords(advice.recommend.peakChance)}.`}
        </Addition>
      )}
      {isByWord && (
        <p className={classes.hint}>
          The flow cup is not calibrated: the word told with its seconds decides. Type the seconds you want below to aim by them.
        </p>
      )}
      {(last !== undefined || tuning.saltSamples.length > 0) && (
        <>
          {!isByWord && (
            <SaltCurvePicture
              unit={unit}
              readings={tuning.rows}
              saltSamples={tuning.saltSamples}
              saltCurve={saltCurve}
              target={target}
              expected={
                advice === null || last === undefined || grams <= 0 || isCapped
                  ? null
                  : {
                      saltPercent: last.saltPercent + (grams * (salt.strengthPercent - last.saltPercent)) / (tuning.massGrams + grams),
                      viscosity: advice.recommend.expected,
                      low: advice.recommend.low,
                      high: advice.recommend.high,
                    }
              }
            />
          )}
          {last !== undefined && !tuning.isAddedSince && advice !== null && (
            <ReadAgain key={last.id} isOpen={advice.state === "add" && grams === 0}>
              <ReadThickness due={due} unit={tuning.unit} words="" isAgain />
            </ReadAgain>
          )}
          <p className={classes.hint}>
            {tuning.saltSamples.length === 0
              ? "No samples of this base yet: the salt curve is estimated from this batch alone."
              : `${tuning.saltSamples.length} ${tuning.saltSamples.length === 1 ? "sample" : "samples"} of this base${saltCurve === null ? "; five points across a peak draw its salt curve." : `; typical miss ${written(saltCurve.typicalMissPercent ?? 0, 0)} %.`}`}{" "}
            {!isPractice && <Link to={`/bench/${view.id}/salt-samples`}>Salt-curve samples</Link>}
          </p>
          <ThicknessRows tuning={tuning} unit={unit} />
        </>
      )}
      <div className={classes.solutions}>
        <NativeSelect label="with" value={salt.name} onChange={(event) => setChosen(event.currentTarget.value)}>
          {salts.map(({ name }) => (
            <option key={name}>{name}</option>
          ))}
        </NativeSelect>
        <label>
          wanted{" "}
          <TextInput
            inputMode="decimal"
            value={wanted}
            placeholder={isByWord ? "" : written(target, 2)}
            onChange={(event) => setWanted(event.currentTarget.value)}
            aria-label={`Wanted thickness, ${unit}`}
          />{" "}
          {unit}
        </label>
      </div>
      <Entry
        hidden={{ step: due.id }}
        className={step.acts}
        ask={() =>
          slowest !== undefined
            ? `${slowest.text} Judge it all the same?`
            : isThere || advice?.state === "stop"
              ? null
              : "The thickness is not known to be what is wanted. Go on all the same?"
        }
      >
        <BigButton isLarge isMain={isThere} intent="done" act="The thickness is right">
          Thick enough, next step
        </BigButton>
      </Entry>
    </>
  );
}
