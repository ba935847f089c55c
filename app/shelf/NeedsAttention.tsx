import { Link } from "react-router";
import { useUnits } from "../frame/units";
import type { OpenShelf } from "./shelf.server";
import classes from "./NeedsAttention.module.css";

type Concern = OpenShelf["concerns"][number];

const MOST_SHOWN = 8;

/** What on the shelf wants attention, the most urgent first. */
export function NeedsAttention({ concerns }: { readonly concerns: readonly Concern[] }) {
  const { mass } = useUnits();
  return (
    <section className={classes.first} aria-labelledby="first-head">
      <h2 id="first-head">Needs attention</h2>
      {concerns.length === 0 && <p>Nothing expires within two months, and nothing is low.</p>}
      <ol>
        {concerns.slice(0, MOST_SHOWN).map((one) => (
          <li key={one.lotId}>
            <span className={classes.when}>{one.concern === "low" || one.concern === "overdrawn" ? mass(one.leftGrams) : one.ends}</span>
            <span>
              <strong>
                <Link to={`/shelf/${one.slug}`}>{one.name}</Link> {endWords(one)}
              </strong>{" "}
              Lot {one.code}
              {lotWords(one, mass)}
            </span>
          </li>
        ))}
      </ol>
      {concerns.length > MOST_SHOWN && <p>And {concerns.length - MOST_SHOWN} more on the shelf.</p>}
    </section>
  );
}

function lotWords({ concern, leftGrams }: Concern, mass: (grams: number) => string): string {
  if (concern === "overdrawn")
    return `: ${mass(-leftGrams)} more than it held. Weigh what is left, or record the use on the lot it came from.`;
  return concern === "low" ? "." : `, ${mass(leftGrams)} left.`;
}

function endWords({ concern, days }: Concern): string {
  if (concern === "overdrawn") return "has a wrong balance.";
  if (concern === "low" || days === null) return "is down to a tenth of its pack.";
  if (concern === "discard") return days === -1 ? "is to be discarded since yesterday." : `is to be discarded, ${-days} days past its day.`;
  if (concern === "ended") return days === -1 ? "expired yesterday." : `expired ${-days} days ago.`;
  if (days === 0) return "expires today.";
  return days === 1 ? "expires tomorrow." : `expires in ${days} days.`;
}
