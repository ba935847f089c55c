import { adviseTitration, type AdviceOptions, type Titration, type TitrationAdvice } from "@tensidrum/core/acidity";
import { adviseThickening, type Thickening, type ThickeningAdvice } from "@tensidrum/core/rheology";

/** What is to be advised on. */
export type AdvisorQuestion =
  | ({ readonly on: "ph"; readonly titration: Titration } & Pick<AdviceOptions, "earlier" | "sample" | "isSample">)
  | { readonly on: "thickness"; readonly thickening: Thickening };

export interface AdvisorTask {
  readonly id: number;
  readonly question: AdvisorQuestion;
}

export interface AdvisorAnswer {
  readonly id: number;
  readonly advice: TitrationAdvice | ThickeningAdvice;
}

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<AdvisorTask>) => void) | null;
  postMessage(answer: AdvisorAnswer): void;
};

scope.onmessage = ({ data: { id, question } }) => {
  const advice = question.on === "ph" ? adviseTitration(question.titration, question) : adviseThickening(question.thickening);
  scope.postMessage({ id, advice });
};
