import { randomLcg, randomNormal } from "d3-random";

/** A stream of random numbers that is the same for the same seed. */
export interface Random {
  /** 0 up to, not including, 1. */
  uniform(): number;
  /** Mean 0, standard deviation 1. */
  normal(): number;
}

/** @param seed Any number; only its fraction of 2³² counts. */
export function randomFrom(seed: number): Random {
  const uniform = randomLcg(seed);
  return { uniform, normal: randomNormal.source(uniform)(0, 1) };
}
