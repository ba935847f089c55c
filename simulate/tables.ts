import type { ThickeningOutcome } from "./thickeningRun";
import type { TitrationOutcome } from "./titrationRun";
import { hillKinds, gaugeKinds, type HillKind } from "./world/trueSaltCurve";
import { listKinds } from "./world/trueBatch";

/** Well buffered round the window, mmol/kg for one pH. */
const WELL_BUFFERED = 2;
const CLEARLY = 0.1;
const CLEARLY_BY_STRIP = 0.4;

function share<Outcome>(outcomes: readonly Outcome[], isTrue: (outcome: Outcome) => boolean): number | null {
  return outcomes.length === 0 ? null : rounded((100 * outcomes.filter(isTrue).length) / outcomes.length);
}

function place(values: readonly number[], part: number): number | null {
  return [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(part * values.length))] ?? null;
}

const rounded = (value: number): number => Math.round(value * 10) / 10;

function titrationRow(name: string, of: readonly TitrationOutcome[]) {
  const doses = of.map((outcome) => outcome.doses);
  return {
    class: name,
    batches: of.length,
    passedByOverATenthPercent: share(of, ({ past }) => past > CLEARLY),
    saidInsideButOutPercent: share(of, ({ saidInside }) => saidInside !== null && saidInside > CLEARLY),
    saidInsideButFarOutPercent: share(of, ({ saidInside }) => saidInside !== null && saidInside > CLEARLY_BY_STRIP),
    endsInsidePercent: share(of, ({ endsOutside }) => endsOutside <= CLEARLY),
    saidInsidePercent: share(of, ({ saidInside }) => saidInside !== null),
    medianDoses: place(doses, 0.5),
    p90Doses: place(doses, 0.9),
  };
}

/** What came of the batches, class by class. */
export function titrationTables(outcomes: readonly TitrationOutcome[]) {
  const meter = outcomes.filter(({ classes }) => classes.instrument === "meter");
  const isWell = ({ classes }: TitrationOutcome): boolean => classes.bufferAtTarget > WELL_BUFFERED;
  return [
    titrationRow("meter, all", meter),
    ...listKinds.map((list) =>
      titrationRow(
        `meter, list ${list}`,
        meter.filter(({ classes }) => classes.list === list),
      ),
    ),
    titrationRow(
      "meter, list right, well buffered",
      meter.filter((one) => one.classes.list === "right" && isWell(one)),
    ),
    titrationRow(
      "meter, weakly buffered",
      meter.filter((one) => !isWell(one)),
    ),
    titrationRow(
      "strip, all",
      outcomes.filter(({ classes }) => classes.instrument === "strip"),
    ),
  ];
}

const HARDLY_ANSWERS = new Set<HillKind>(["flat", "never", "past the peak"]);

function hillRow(name: string, of: readonly ThickeningOutcome[]) {
  const reachable = of.filter(({ classes }) => classes.isReachable);
  const hopeless = of.filter(({ classes }) => !classes.isReachable && HARDLY_ANSWERS.has(classes.hill));
  const additions = reachable.map((outcome) => outcome.additions);
  return {
    class: name,
    batches: of.length,
    passedPeakPercent: share(of, ({ passedPeak }) => passedPeak),
    reachable: reachable.length,
    onTargetPercent: share(reachable, ({ onTarget }) => onTarget),
    saidOnTargetButNotPercent: share(of, ({ saidOnTarget, onTarget }) => saidOnTarget && !onTarget),
    medianAdditions: place(additions, 0.5),
    p90Additions: place(additions, 0.9),
    hopelessSaltedOnPercent: share(hopeless, ({ additions: many, saltPercent }) => many > 5 || saltPercent > 2.5),
  };
}

/** What came of the bases, class by class. */
export function hillTables(outcomes: readonly ThickeningOutcome[]) {
  return [
    hillRow("all", outcomes),
    ...gaugeKinds.map((gauge) =>
      hillRow(
        gauge,
        outcomes.filter(({ classes }) => classes.gauge === gauge),
      ),
    ),
    ...hillKinds.map((hill) =>
      hillRow(
        hill,
        outcomes.filter(({ classes }) => classes.hill === hill),
      ),
    ),
  ];
}
