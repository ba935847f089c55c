import { gramsOf } from "../../acidity/equivalents.ts";
import { keepBook, type Titration, type TitrationReading } from "../../acidity/titration/bookkeeping.ts";
import { dilutedTenfold, gramsAs, type SampleAside } from "./sampleAside.ts";
import { sigmaOf } from "./phSigma.ts";
import type { BenchAgent } from "./agents.ts";
import type { PhRow, TitratedSample } from "./phRows.ts";

/**
 * The titration of a sample, from the batch's last reading on, in grams of the solution diluted tenfold: its curve is the
 * batch's. What the batch held of acid and base when the sample was taken counts as dosed already; the water of the thin
 * solution thins the sample.
 * @param whole the batch as it stood when the sample was taken
 */
export function titrationOfSample(aside: SampleAside, whole: Titration, agent: BenchAgent): Titration {
  const thin = dilutedTenfold(agent);
  const { counterAgent, target } = whole;
  const middle = (target.low + target.high) / 2;
  const begun = keepBook(whole).stations.at(-1)!;
  const held = (mmolPerKg: number, solution: Parameters<typeof gramsOf>[0]): number =>
    gramsOf(solution, (mmolPerKg * aside.takenGrams) / 1000);
  const start = {
    doseGramsTotal: held(begun.agentTotal, thin),
    counterGramsTotal: counterAgent === null ? 0 : held(begun.counterTotal, counterAgent),
  };
  const last = whole.readings.at(-1)!;
  let dosed = 0;
  let countered = 0;
  let water = 0;
  const readings: TitrationReading[] = [
    { ...start, otherGramsTotal: 0, ph: last.ph, ...(last.phSigma === undefined ? {} : { phSigma: last.phSigma }) },
  ];
  for (const entry of aside.entries) {
    if (entry.kind === "sample-dosed") {
      if (entry.agent.kind === agent.kind) dosed += gramsAs(thin, entry, middle);
      else if (counterAgent !== null) countered += gramsAs(counterAgent, entry, middle);
      water += entry.grams;
    } else {
      readings.push({
        doseGramsTotal: start.doseGramsTotal + dosed,
        counterGramsTotal: start.counterGramsTotal + countered,
        otherGramsTotal: water,
        ph: entry.ph,
        phSigma: sigmaOf(entry.way),
        sampleGrams: entry.sampleGrams,
      });
    }
  }
  return { ...whole, batchGrams: aside.takenGrams, agent: thin, dropGrams: null, readings };
}

/** @param begun the batch's last reading before it was taken */
export function titratedSample(aside: SampleAside, titration: Titration, begun: PhRow): TitratedSample {
  const rows: PhRow[] = [{ ...begun, doses: [], totalGrams: 0, leftGrams: aside.takenGrams }];
  let doses: PhRow["doses"] = [];
  let totalGrams = 0;
  let leftGrams = aside.takenGrams;
  for (const entry of aside.entries) {
    if (entry.kind === "sample-dosed") {
      doses = [...doses, { grams: entry.grams, name: entry.agent.name }];
      totalGrams += entry.grams;
      leftGrams += entry.grams;
    } else {
      const { id, at, ph, way, temperatureC = null } = entry;
      leftGrams -= entry.sampleGrams;
      rows.push({ id, at, ph, way, temperatureC, isSimulated: entry.readOff === "simulated meter", doses, totalGrams, leftGrams });
      doses = [];
    }
  }
  return { aside, titration, rows, isDosedSince: doses.length > 0 };
}
