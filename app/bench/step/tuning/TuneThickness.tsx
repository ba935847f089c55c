import { aimedThickness, saltsOf, thicknessTuning, type Step, type ThicknessTuning } from "@tensidrum/core/making";
import { decimalPlaces, finestFirst, readNumber, scaleFor, written } from "@tensidrum/core/quantities";
import { useMemo, useState } from "react";
import { SaltHill } from "../../../pictures/SaltHill/SaltHill";
import { thicknessWords } from "../../batch/benchForm";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { ClockTime } from "../ClockTime";
import { Entry } from "../Entry";
import step from "../Step.module.css";
import classes from "./Tuning.module.css";
import { useThicknessAdvice } from "./useAdvice";

/** The thickness of the batch, up its salt hill in small steps: read, add as advised, rest, read again. */
export function TuneThickness({ step: due }: { readonly step: Step }) {
  const { view, plan } = useBench();
  const salts = useMemo(() => saltsOf(plan), [plan]);
  const [chosen, setChosen] = useState("");
  const [wanted, setWanted] = useState("");
  const salt = salts.find(({ name }) => name === chosen) ?? salts[0];
  const typed = readNumber(wanted);
  const target = typed.ok && typed.value > 0 ? typed.value : aimedThickness(plan);
  const tuning = useMemo(
    () => (salt === undefined ? null : thicknessTuning(plan, { standing: view.standing }, { salt, target })),
    [plan, view.standing, salt, target],
  );
  const advice = useThicknessAdvice(tuning === null || tuning.isAddedSince ? null : tuning.thickening);
  if (tuning === null || salt === undefined) return null;
  const last = tuning.rows.at(-1);
  const unit = tuning.unit ?? "Pa·s";
  const grams = advice?.recommend.grams ?? 0;
  const decimals = decimalPlaces(scaleFor(grams, finestFirst(plan.formula.scales))?.readabilityGrams ?? 0.01);
  const isThere = advice?.state === "in-target" || tuning.isOnTarget;
  return (
    <>
      <p className={classes.head}>
        <strong>
          wanted {written(target, 2)} {unit}
        </strong>
        {last !== undefined && (
          <span>
            {written(last.viscosity, 2)} {unit} now
          </span>
        )}
        <span>salt in it {written(last?.saltPercent ?? tuning.hiddenSaltPercent, 2)} %</span>
      </p>
      {tuning.hadScentBetween && (
        <p className={step.caution}>Scent went in between two readings: it can thin, and they do not stand on one hill.</p>
      )}
      {last === undefined || tuning.isAddedSince ? (
        <ReadThickness due={due} tuning={tuning} />
      ) : advice === null ? (
        <p className={step.do}>Reckoning the next addition …</p>
      ) : (
        <div className={classes.advice}>
          {grams > 0 && (
            <output className={classes.hero} aria-label={`Add, g of ${salt.name}`}>
              {written(grams, decimals)}
              <small> g</small>
            </output>
          )}
          <div>
            <p className={step.do}>
              {grams > 0 && <strong>of {salt.name}. </strong>}
              {advice.text}
            </p>
            <details className={classes.estimate}>
              <summary>why an estimate</summary>A few thousand plausible salt hills are tried against your readings. The addition is the
              smallest of the way to what is wanted, and the one that carries no more than two in a thousand past the peak. Salt cannot be
              taken out again.
            </details>
            {grams > 0 && (
              <Entry hidden={{ step: due.id, agent: salt.name }} className={classes.dose}>
                <label>
                  really added{" "}
                  <input
                    name="grams"
                    inputMode="decimal"
                    autoComplete="off"
                    defaultValue={grams.toFixed(decimals)}
                    key={grams}
                    aria-label={`Really added, g of ${salt.name}`}
                  />{" "}
                  g
                </label>
                <BigButton isMain intent="salt" act="The salt is in" actKey=" ">
                  Added, start 8:00
                </BigButton>
              </Entry>
            )}
          </div>
        </div>
      )}
      <div className={classes.solutions}>
        <label>
          with{" "}
          <select value={salt.name} onChange={(event) => setChosen(event.currentTarget.value)}>
            {salts.map(({ name }) => (
              <option key={name}>{name}</option>
            ))}
          </select>
        </label>
        <label>
          wanted{" "}
          <input
            inputMode="decimal"
            value={wanted}
            placeholder={written(target, 2)}
            onChange={(event) => setWanted(event.currentTarget.value)}
            aria-label={`Wanted thickness, ${unit}`}
          />{" "}
          {unit}
        </label>
      </div>
      {last !== undefined && (
        <>
          <SaltHill
            unit={unit}
            readings={tuning.rows}
            target={target}
            expected={
              advice === null || grams <= 0
                ? null
                : {
                    saltPercent:
                      last.saltPercent + (grams * (salt.strengthPercent - last.saltPercent)) / Math.max(1, view.inBeakersGrams + grams),
                    viscosity: advice.recommend.expected,
                    low: advice.recommend.low,
                    high: advice.recommend.high,
                  }
            }
          />
          <Rows tuning={tuning} unit={unit} />
        </>
      )}
      <Entry
        hidden={{ step: due.id }}
        className={step.acts}
        ask={() => (isThere || advice?.state === "stop" ? null : "The thickness is not known to be what is wanted. Go on all the same?")}
      >
        <BigButton isLarge isMain={isThere} intent="done" act="The thickness is right">
          Thick enough, next step
        </BigButton>
      </Entry>
    </>
  );
}

/** A reading of the thickness: a number off a funnel or a table, or a word for how it looks. */
function ReadThickness({ due, tuning }: { readonly due: Step; readonly tuning: ThicknessTuning }) {
  const { answered } = useBench();
  const isFirst = tuning.rows.length === 0;
  return (
    <Entry hidden={{ step: due.id }} className={classes.read}>
      <p className={step.do}>{isFirst ? "How thick is it before any salt?" : "Rested eight minutes? How thick is it now?"}</p>
      <label className={classes.big}>
        <span className="only-for-readers">Thickness</span>
        <input
          name="viscosity"
          inputMode="decimal"
          autoComplete="off"
          aria-label="Thickness"
          defaultValue={answered?.form.intent === "read-thickness" ? answered.form.viscosity : ""}
          autoFocus
        />
      </label>
      <label>
        in{" "}
        <select name="unit" defaultValue={tuning.unit ?? "Pa·s"} aria-label="Unit of the thickness">
          {(tuning.unit === null ? ["Pa·s", "s"] : [tuning.unit]).map((unit) => (
            <option key={unit} value={unit}>
              {unit === "s" ? "seconds of my funnel" : unit}
            </option>
          ))}
        </select>
      </label>
      {tuning.unit !== "s" && (
        <label>
          or in a word{" "}
          <select name="word" defaultValue="" aria-label="Thickness in a word">
            <option value="">none</option>
            {Object.keys(thicknessWords).map((word) => (
              <option key={word}>{word}</option>
            ))}
          </select>
        </label>
      )}
      <BigButton isMain intent="read-thickness" act="Take the thickness">
        Take the reading
      </BigButton>
    </Entry>
  );
}

function Rows({ tuning, unit }: { readonly tuning: ThicknessTuning; readonly unit: string }) {
  return (
    <table className={step.list}>
      <caption className="only-for-readers">Readings and additions, the newest first</caption>
      <thead>
        <tr>
          <th scope="col">time</th>
          <th scope="col">added before it, g</th>
          <th scope="col">total, g</th>
          <th scope="col">salt, %</th>
          <th scope="col">thickness, {unit}</th>
        </tr>
      </thead>
      <tbody>
        {tuning.rows.toReversed().map(({ id, at, addedGrams, totalGrams, saltPercent, viscosity, said }) => (
          <tr key={id}>
            <td>
              <ClockTime at={at} />
            </td>
            <td>{addedGrams === 0 ? "none" : written(addedGrams, 2)}</td>
            <td>{written(totalGrams, 2)}</td>
            <td>{written(saltPercent, 2)}</td>
            <td>
              <strong>{written(viscosity, 2)}</strong> {said}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
