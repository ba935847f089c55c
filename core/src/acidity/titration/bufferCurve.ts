import { monotoneCurve } from "../../numerics/monotone.ts";
import { equivalentsPerMole, type Agent } from "../equivalents.ts";
import type { Station } from "./bookkeeping.ts";

/** Alkalinity (or acidity) the agent has used up by the time the batch reads a pH. */
export interface BufferPoint {
  readonly ph: number;
  readonly mmolPerKg: number;
}

/**
 * The batch's own buffer curve: Bₖ = mₖ z(pHₖ), what the counter agent took back off it, 0 at the first reading; in the
 * order of dosing. A later reading at the same dose stands in the place of the earlier one; readings that go back, or
 * stand still, are pooled with their neighbours (pool adjacent violators), so that the curve can be drawn. Strips and a
 * meter do not share a curve.
 */
export function bufferCurve(stations: readonly Station[], agent: Agent, counterAgent: Agent | null): readonly BufferPoint[] {
  const used = ({ agentTotal, counterTotal, ph }: Station): number =>
    agentTotal * equivalentsPerMole(agent, ph) - (counterAgent === null ? 0 : counterTotal * equivalentsPerMole(counterAgent, ph));
  const drawn = ofOneInstrument(stations);
  const lastAtDose = drawn.filter((station, k) => !isSameDose(station, drawn[k + 1]));
  // The pH falls as acid goes in and rises as base does.
  const along = agent.kind === "acid" ? -1 : 1;
  const pools: Pool[] = [];
  const ordered = lastAtDose
    .map((station) => ({ ph: station.ph, mmolPerKg: used(station) - used(drawn[0]!) }))
    .sort((a, b) => a.mmolPerKg - b.mmolPerKg);
  for (const point of ordered) {
    pools.push({ ph: point.ph, mmolPerKg: point.mmolPerKg, count: 1 });
    while (pools.length > 1 && along * (pools.at(-1)!.ph - pools.at(-2)!.ph) <= 0) {
      const [b, a] = [pools.pop()!, pools.pop()!];
      const count = a.count + b.count;
      const mean = (x: number, y: number) => (x * a.count + y * b.count) / count;
      pools.push({ ph: mean(a.ph, b.ph), mmolPerKg: mean(a.mmolPerKg, b.mmolPerKg), count });
    }
  }
  return pools.map(({ ph, mmolPerKg }) => ({ ph, mmolPerKg }));
}

/** From here on a reading is that of a strip, pH. */
export const STRIP_SIGMA = 0.1;

/** Strips and a meter are never mixed on one curve: where a meter has read twice, it alone draws. */
function ofOneInstrument(stations: readonly Station[]): readonly Station[] {
  const byMeter = stations.filter(({ sigma }) => sigma < STRIP_SIGMA);
  const byStrip = stations.filter(({ sigma }) => sigma >= STRIP_SIGMA);
  return byMeter.length >= Math.min(2, byStrip.length) ? byMeter : byStrip;
}

function isSameDose(station: Station, next: Station | undefined): boolean {
  return (
    next !== undefined &&
    next.agentTotal === station.agentTotal &&
    next.counterTotal === station.counterTotal &&
    next.thinned === station.thinned
  );
}

interface Pool extends BufferPoint {
  readonly count: number;
}

/** The curve as it is drawn: alkalinity used at a pH, on beyond the readings with the secant of the last two. */
export function drawnCurve(points: readonly BufferPoint[]): (ph: number) => number {
  const rising = [...points].sort((a, b) => a.ph - b.ph);
  const turned = rising.length > 1 && rising[0]!.mmolPerKg > rising.at(-1)!.mmolPerKg ? -1 : 1;
  const curve = monotoneCurve(rising.map(({ ph, mmolPerKg }) => ({ x: ph, y: turned * mmolPerKg })));
  return (ph) => turned * curve(ph);
}
