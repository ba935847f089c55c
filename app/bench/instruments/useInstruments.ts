import { simulatedBatch, truthAfter, type BatchEntry, type BatchPlan, type SimulatedBatch, type SaltSample } from "@tensidrum/core/process";
import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from "react";
import { Instrument } from "../../frame/instruments/instrument";
import { instrumentKinds, type InstrumentKind, type InstrumentLink } from "../../frame/instruments/instrumentLink";
import { seedOf } from "../../frame/instruments/seedOf";
import { openSerial } from "../../frame/instruments/serialLink";
import { SimulatedCupLink, SimulatedMeterLink, SimulatedScaleLink } from "../../frame/instruments/simulatedLinks";

const REMEMBERED = "tensidrum.bench-instruments";

/** The instruments of a bench, and how they are taken and put away. */
export interface Instruments extends Readonly<Record<InstrumentKind, Instrument>> {
  /** A simulated instrument is taken up again on the next visit. */
  takeSimulated(kind: InstrumentKind): void;
  /** Answers what is in the way, or nothing. */
  takeSerial(kind: InstrumentKind, baudRate: number): Promise<string | null>;
  putAway(kind: InstrumentKind): void;
}

interface Asked {
  readonly plan: BatchPlan;
  readonly standing: readonly BatchEntry[];
  /** Of the batch the simulated instruments measure. */
  readonly hidden: () => SimulatedBatch;
  readonly clock: () => string;
  /** In a practice run every instrument is simulated. */
  readonly isAllSimulated: boolean;
}

/** The instruments at this bench. Stand-ins measure a batch that is hidden, by what has been entered. */
export function useInstruments({ plan, standing, hidden, clock, isAllSimulated }: Asked): Instruments {
  const [kinds] = useState(() => ({ scale: new Instrument("scale"), meter: new Instrument("meter"), cup: new Instrument("cup") }));
  const latest = useRef({ plan, standing, hidden, clock });
  useEffect(() => {
    latest.current = { plan, standing, hidden, clock };
  });
  const simulated = useCallback((kind: InstrumentKind): InstrumentLink => {
    const truth = () => {
      const { hidden: batch, plan: planned, standing: entered, clock: now } = latest.current;
      return truthAfter(batch(), planned, entered, now());
    };
    if (kind === "scale") return new SimulatedScaleLink();
    if (kind === "cup") {
      return new SimulatedCupLink(() => ({ pascalSeconds: truth().pascalSeconds, density: latest.current.hidden().density }));
    }
    return new SimulatedMeterLink(latest.current.hidden().meter, (isAside) => {
      const { ph, samplePh } = truth();
      return isAside ? (samplePh ?? ph) : ph;
    });
  }, []);
  const takeSimulated = useCallback(
    (kind: InstrumentKind) => {
      kinds[kind].connect(simulated(kind));
      remember(kind, true);
    },
    [kinds, simulated],
  );
  const takeSerial = useCallback(
    async (kind: InstrumentKind, baudRate: number) => {
      const opened = await openSerial(kind, baudRate);
      if ("problem" in opened) return opened.problem;
      kinds[kind].connect(opened.link);
      return null;
    },
    [kinds],
  );
  const putAway = useCallback(
    (kind: InstrumentKind) => {
      kinds[kind].disconnect();
      remember(kind, false);
    },
    [kinds],
  );
  useEffect(() => {
    const wanted = isAllSimulated ? instrumentKinds : remembered();
    for (const kind of wanted) kinds[kind].connect(simulated(kind));
    return () => instrumentKinds.forEach((kind) => kinds[kind].disconnect());
  }, [kinds, simulated, isAllSimulated]);
  const calibrations = useMemo(
    () => standing.flatMap((entry) => (entry.kind === "calibrated" && entry.readOff === "simulated meter" ? [entry.buffers] : [])),
    [standing],
  );
  const meter = useLink(kinds.meter);
  useEffect(() => {
    if (meter instanceof SimulatedMeterLink) meter.setRight(calibrations);
  }, [meter, calibrations]);
  return useMemo(() => ({ ...kinds, takeSimulated, takeSerial, putAway }), [kinds, takeSimulated, takeSerial, putAway]);
}

/** The way to an instrument alone; who only needs that is not drawn anew with every reading. */
function useLink(instrument: Instrument): InstrumentLink | null {
  return useSyncExternalStore(
    instrument.subscribe,
    () => instrument.now().link,
    () => null,
  );
}

/** The hidden batch behind the simulated instruments of a batch, drawn once one of them asks: always the same one for the same batch. */
export function useSimulatedBatch(plan: BatchPlan, seed: string, saltSamples: readonly SaltSample[]): () => SimulatedBatch {
  return useMemo(() => {
    let drawn: SimulatedBatch | null = null;
    return () => (drawn ??= simulatedBatch(plan, seedOf(seed), saltSamples));
  }, [plan, seed, saltSamples]);
}

function remembered(): readonly InstrumentKind[] {
  const kept = (localStorage.getItem(REMEMBERED) ?? "").split(" ");
  return instrumentKinds.filter((kind) => kept.includes(kind));
}

function remember(kind: InstrumentKind, isTaken: boolean): void {
  const kept = remembered().filter((one) => one !== kind);
  localStorage.setItem(REMEMBERED, (isTaken ? [...kept, kind] : kept).join(" "));
}
