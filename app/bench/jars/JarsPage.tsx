import { written, writtenPercent } from "@tensidrum/core/quantities";
import { answerSaltCurve, fittedHill } from "@tensidrum/core/rheology";
import { useMemo } from "react";
import { Form, Link, useNavigation } from "react-router";
import { Frame } from "../../frame/Frame";
import { WashLine } from "../../frame/washLine/WashLine";
import { SaltHill } from "../../pictures/SaltHill/SaltHill";
import bench from "../Bench.module.css";
import { benchPegs } from "../benchPegs";
import { AddJar } from "./AddJar";
import type { JarForm } from "./jarForm.server";
import { JarList } from "./JarList";
import { JarSalts } from "./JarSalts";
import type { OpenJars } from "./jars.server";
import classes from "./Jars.module.css";

interface JarsPageProps {
  readonly base: OpenJars;
  readonly answered: { readonly problem: string | null; readonly gone: OpenJars["jars"][number] | null; readonly form: JarForm } | null;
}

/** Jars of a surfactant base with rising salt, and the hill through them: every batch of that base uses it. */
export function JarsPage({ base, answered }: JarsPageProps) {
  const { jars, target, cleansers, hiddenSaltPercent } = base;
  const units = [...new Set(jars.map(({ unit }) => unit))];
  const unit = units.includes("Pa·s") || units.length === 0 ? "Pa·s" : "s";
  const same = useMemo(() => jars.filter((jar) => jar.unit === unit), [jars, unit]);
  const hill = useMemo(() => fittedHill(same), [same]);
  const curve = useMemo(() => answerSaltCurve(same, unit === "Pa·s" ? target : null), [same, unit, target]);
  const isBusy = useNavigation().state !== "idle";
  return (
    <Frame
      head={
        <>
          <h1 className={bench.head}>Jars of a base</h1>
          <span className={bench.sub}>{base.name}</span>
        </>
      }
      doors={<Link to={base.back}>{base.backWords}</Link>}
      line={<WashLine pegs={benchPegs("jar trials")} />}
    >
      <title>{`Jars, ${base.name}`}</title>
      {answered?.problem != null && (
        <p role="alert" className={bench.problem}>
          {answered.problem}
        </p>
      )}
      {answered?.gone != null && <PutBack jar={answered.gone} />}
      <div className={classes.page}>
        <section aria-labelledby="base-head">
          <h2 id="base-head">The base</h2>
          <p>
            {cleansers.map(({ name, percent }) => `${writtenPercent(percent)} % ${name.split(",")[0] ?? name}`).join(", ")}, as active
            matter. Any batch with these finds these jars. Salt the materials bring along: {written(hiddenSaltPercent, 2)} %.
          </p>
          <AddJar base={base} kept={answered?.problem == null ? null : answered.form} isBusy={isBusy} />
          <JarSalts hiddenSaltPercent={hiddenSaltPercent} />
        </section>
        <section aria-labelledby="hill-head">
          <h2 id="hill-head">Its hill</h2>
          {jars.length === 0 ? (
            <p className={bench.empty}>
              No jars yet. Make the base without its salt, weigh it into a few jars, and add the first of them here.
            </p>
          ) : (
            <>
              <SaltHill unit={unit} readings={[]} jars={same} hill={hill} target={target} expected={null} />
              <p>
                {curve.text}
                {hill?.typicalMissPercent != null && ` Typical miss ${written(hill.typicalMissPercent, 0)} % (estimate).`}
                {curve.fit?.peakRange != null &&
                  ` The peak lies between ${written(curve.fit.peakRange.low, 2)} and ${written(curve.fit.peakRange.high, 2)} % with 95 % confidence.`}
              </p>
              <JarList jars={jars} isBusy={isBusy} />
            </>
          )}
        </section>
      </div>
    </Frame>
  );
}

function PutBack({ jar }: { readonly jar: OpenJars["jars"][number] }) {
  return (
    <Form method="post" className={classes.back} role="status">
      A jar of {written(jar.saltPercent, 2)} % salt was poured away.
      <input type="hidden" name="id" value={jar.id} />
      <input type="hidden" name="salt" value={jar.saltPercent} />
      <input type="hidden" name="viscosity" value={jar.viscosity} />
      <input type="hidden" name="unit" value={jar.unit} />
      <input type="hidden" name="said" value={jar.said} />
      <button type="submit" name="intent" value="put-back" className={classes.pour}>
        Put it back
      </button>
    </Form>
  );
}
