import type { ReactNode } from "react";
import { Link } from "react-router";
import { useUnits } from "../../frame/units";
import { Vessel } from "../../pictures/Vessel/Vessel";
import classes from "./Preparations.module.css";

interface Made {
  readonly id: string;
  readonly slug: string;
  readonly name: string;
  readonly code: string;
  readonly leftGrams: number;
  readonly packGrams: number;
}

interface StandingMadeProps<One extends Made> {
  readonly standing: readonly One[];
  /** Made when, and how long it lasts. */
  readonly until: (one: One) => ReactNode;
}

/** What was made here and still stands, with its label. */
export function StandingMade<One extends Made>({ standing, until }: StandingMadeProps<One>) {
  const { mass } = useUnits();
  if (standing.length === 0) return null;
  return (
    <section className={classes.standing} aria-labelledby="standing-head">
      <h2 id="standing-head">Standing</h2>
      <ul>
        {standing.map((one) => (
          <li key={one.id}>
            <Vessel
              form="liquid"
              charge={null}
              isScent={false}
              tint="var(--stratum-water)"
              packGrams={one.packGrams}
              leftGrams={one.leftGrams}
            />
            <span>
              <Link to={`/shelf/${one.slug}`}>{one.name}</Link>
              <br />
              {one.code}, <strong>{mass(one.leftGrams)}</strong> left
              <br />
              {until(one)}
              <br />
              <Link to={`/shelf/lots/${one.id}/label`}>Label</Link>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
