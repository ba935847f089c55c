import type { Cleanser } from "@tensidrum/core/surfactants";
import { triangleOf, type BlendTriangle } from "@tensidrum/core/surfactants";

export interface TriangleTask {
  readonly cleansers: readonly Cleanser[];
  readonly looseOilPercent: number;
  /** Grids from coarse to fine. */
  readonly steps: readonly number[];
}

export type TriangleAnswer = BlendTriangle;

const scope = self as unknown as {
  onmessage: ((event: MessageEvent<TriangleTask>) => void) | null;
  postMessage(answer: TriangleAnswer): void;
};

scope.onmessage = ({ data: { cleansers, looseOilPercent, steps } }) => {
  for (const each of steps) scope.postMessage(triangleOf(cleansers, looseOilPercent, each));
};
