/** 97.5 % points of Student's t for 1, 2, 3 … degrees of freedom (Fisher and Yates 1963, table III). */
const POINTS = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131, 2.12, 2.11, 2.101, 2.093, 2.086,
  2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042,
];
const NORMAL_POINT = 1.96;

/** Half the width of a 95 % interval in standard errors. Beyond the table by its first correction, 1.96 + 2.37 ⁄ f. */
export function studentT95(freedom: number): number {
  return POINTS[freedom - 1] ?? NORMAL_POINT + 2.37 / freedom;
}
