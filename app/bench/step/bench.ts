import { createContext, useContext } from "react";
import type { FormAnswer } from "../../frame/formAnswer";
import type { BenchForm } from "../batch/benchForm";
import type { Instruments } from "../instruments/useInstruments";
import type { BatchHere } from "../queue/useBatchHere";

/** What every part of the page of a batch needs. */
export interface Bench extends Omit<BatchHere, "enter"> {
  readonly instruments: Instruments;
  /** Nothing of it is stored: a practice run. */
  readonly isPractice: boolean;
  /** For a page without scripts: the identifier of its next entry. */
  readonly newId: string;
  /** What was wrong with the last form, and that form. */
  readonly answered: FormAnswer<BenchForm> | null;
  /** Just entered: a second tap in the same moment is none. */
  readonly isGuarded: boolean;
  /** Answers whether it was entered. */
  enter(form: BenchForm): boolean;
}

const BenchContext = createContext<Bench | null>(null);

export const BenchProvider = BenchContext.Provider;

export function useBench(): Bench {
  const bench = useContext(BenchContext);
  if (bench === null) throw new Error("This belongs on the page of a batch.");
  return bench;
}
