import { adviseTitration, type Titration, type TitrationAdvice } from "@tensidrum/core/acidity";

export interface AdvisorTask {
  readonly id: number;
  readonly titration: Titration;
  /** Titrations of earlier batches of this version. */
  readonly earlier: readonly Titration[];
}

export interface AdvisorAnswer {
  readonly id: number;
  readonly advice: TitrationAdvice;
}

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<AdvisorTask>) => void) | null;
  postMessage(answer: AdvisorAnswer): void;
};

scope.onmessage = ({ data: { id, titration, earlier } }) => scope.postMessage({ id, advice: adviseTitration(titration, { earlier }) });
