import { Button } from "@mantine/core";
import { readNumber, written, writtenPercent } from "@tensidrum/core/quantities";
import { answerSaltCurve, fittedHill, thicknessWord } from "@tensidrum/core/thickness";
import { useMemo, useState } from "react";
import { Form, Link, useNavigation } from "react-router";
import { Frame } from "../../frame/Frame";
import { WashLine } from "../../frame/washLine/WashLine";
import { SaltHill } from "../../pictures/SaltHill/SaltHill";
import bench from "../Bench.module.css";
import { thicknessWays, thicknessWords } from "../batch/benchForm";
import { benchPegs } from "../benchPegs";
import type { JarForm } from "./jarForm.server";
import { jarPlan } from "./jarPlan";
import type { OpenJars } from "./jars.server";
import classes from "./Jars.module.css";

interface JarsPageProps {
  readonly base: OpenJars;
  readonly answered: { readonly problem: string | null; readonly gone: OpenJars["jars"][number] | null; readonly form: JarForm } | null;
}

const USUAL_JAR_GRAMS = 50;

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
          <AddJar base={base} answered={answered} isBusy={isBusy} />
          <Plan hiddenSaltPercent={hiddenSaltPercent} />
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
      <button type="submit" name="intent" value="put-back">
        Put it back
      </button>
    </Form>
  );
}

function AddJar({ base, answered, isBusy }: JarsPageProps & { readonly isBusy: boolean }) {
  const kept = answered?.problem == null ? null : answered.form;
  const [way, setWay] = useState<string>(kept?.by ?? "Pa·s");
  return (
    <Form method="post" className={classes.add} key={base.newId}>
      <input type="hidden" name="id" value={base.newId} />
      <label>
        base in the jar, g
        <input name="baseGrams" inputMode="decimal" autoComplete="off" defaultValue={kept?.baseGrams ?? USUAL_JAR_GRAMS} />
      </label>
      <label>
        dry salt added, g
        <input name="saltGrams" inputMode="decimal" autoComplete="off" defaultValue={kept?.saltGrams ?? ""} placeholder="0" />
      </label>
      <label>
        measured
        <select name="by" value={way} onChange={(event) => setWay(event.currentTarget.value)}>
          {thicknessWays
            .filter((one) => one !== "bead")
            .map((one) => (
              <option key={one} value={one}>
                {one === "funnel" ? "seconds through my funnel" : one === "word" ? "in a word" : "in Pa·s"}
              </option>
            ))}
        </select>
      </label>
      {way === "word" ? (
        <label>
          it is like
          <select name="word" defaultValue={kept?.word ?? "syrup"}>
            {Object.keys(thicknessWords).map((word) => (
              <option key={word}>{word}</option>
            ))}
          </select>
        </label>
      ) : (
        <label>
          {way === "funnel" ? "seconds" : "thickness, Pa·s"}
          <input name="viscosity" inputMode="decimal" autoComplete="off" defaultValue={kept?.viscosity ?? ""} required />
        </label>
      )}
      {way === "funnel" && !base.hasFunnel && (
        <p>
          Your funnel was never run with known liquids: its seconds stand for themselves. <Link to="/settings#funnel">Calibrate it</Link>
        </p>
      )}
      <Button type="submit" name="intent" value="add" h={56} fz={17} loading={isBusy}>
        Add this jar
      </Button>
    </Form>
  );
}

/** How much salt goes into which jar. */
function Plan({ hiddenSaltPercent }: { readonly hiddenSaltPercent: number }) {
  const [typed, setTyped] = useState(String(USUAL_JAR_GRAMS));
  const grams = readNumber(typed);
  const planned = grams.ok && grams.value > 0 ? jarPlan(grams.value, hiddenSaltPercent) : [];
  return (
    <details className={classes.plan}>
      <summary>What to weigh for seven jars</summary>
      <label>
        base in each, g <input value={typed} inputMode="decimal" onChange={(event) => setTyped(event.currentTarget.value)} />
      </label>
      <table className={bench.list}>
        <thead>
          <tr>
            <th scope="col">jar</th>
            <th scope="col">dry salt, g</th>
            <th scope="col">whole salt, %</th>
          </tr>
        </thead>
        <tbody>
          {planned.map(({ saltPercent, saltGrams }, at) => (
            <tr key={at}>
              <th scope="row">{at + 1}</th>
              <td>{written(saltGrams, 2)}</td>
              <td>{written(saltPercent, 2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>Stir, let each rest ten minutes, and measure all of them at one temperature.</p>
    </details>
  );
}

function JarList({ jars, isBusy }: { readonly jars: OpenJars["jars"]; readonly isBusy: boolean }) {
  return (
    <table className={bench.list}>
      <caption className="only-for-readers">Every jar of this base</caption>
      <thead>
        <tr>
          <th scope="col">whole salt, %</th>
          <th scope="col">thickness</th>
          <th scope="col">measured</th>
          <th scope="col">
            <span className="only-for-readers">pour away</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {jars.map(({ id, saltPercent, viscosity, unit, said }) => (
          <tr key={id}>
            <th scope="row">{written(saltPercent, 2)}</th>
            <td>
              {written(viscosity, 2)} {unit}
              {unit === "Pa·s" && `, ${thicknessWord(viscosity)}`}
            </td>
            <td>{said}</td>
            <td>
              <Form method="post">
                <input type="hidden" name="id" value={id} />
                <button
                  type="submit"
                  name="intent"
                  value="remove"
                  disabled={isBusy}
                  className={classes.pour}
                  aria-label={`Pour away the jar of ${written(saltPercent, 2)} % salt`}
                >
                  pour away
                </button>
              </Form>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
