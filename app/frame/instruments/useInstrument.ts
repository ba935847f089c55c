import { useSyncExternalStore } from "react";
import type { Instrument, InstrumentState } from "./instrument";

/** What an instrument shows; whoever asks is drawn anew with it, and nobody else. */
export function useInstrument(instrument: Instrument): InstrumentState {
  return useSyncExternalStore(instrument.subscribe, instrument.now, instrument.now);
}
