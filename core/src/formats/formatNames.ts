/** Every open format with its current version. */
export const formatNames = [
  "tensidrum-formula/1",
  "tensidrum-materials/1",
  "tensidrum-dilution/1",
  "tensidrum-titration/1",
  "tensidrum-thicken/1",
  "tensidrum-salt-curve/1",
  "tensidrum-bead-drop/1",
  "tensidrum-settle/1",
  "tensidrum-micelles/1",
  "tensidrum-unmix/1",
  "tensidrum-recipe/1",
  "tensidrum-find/1",
  "tensidrum-batch/1",
  "tensidrum-label/1",
  "tensidrum-design/1",
  "tensidrum-backup/1",
] as const;

export type FormatName = (typeof formatNames)[number];
