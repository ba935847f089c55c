import { expect, it } from "vitest";
import { calibrationOf, calibrationPicture } from "./calibration";

const promises = [
  { chance: 0.001, passed: false },
  { chance: 0.006, passed: true },
  { chance: 0.008, passed: false },
  { chance: 0.5, passed: true },
];
const rows = calibrationOf(promises);

it("each promise counts in one step, and all of them at the end", () => {
  expect(rows.slice(0, -1).reduce((sum, { doses }) => sum + doses, 0)).toBe(4);
  expect(rows.at(-1)).toMatchObject({ doses: 4, promisedPercent: 12.88, happenedPercent: 50 });
});

it("what happened stands beside what was promised", () => {
  expect(rows.find(({ promisedFromPercent }) => promisedFromPercent === 0.5)).toMatchObject({
    doses: 2,
    promisedPercent: 0.7,
    happenedPercent: 50,
  });
});

it("a certainty counts in the last step", () => {
  expect(calibrationOf([{ chance: 1, passed: true }]).at(-2)).toMatchObject({ doses: 1, happenedPercent: 100 });
});

it("the picture leaves out steps of too few doses to tell a frequency", () => {
  expect(calibrationPicture("few", rows)).not.toContain("<circle");
  const many = calibrationOf(Array.from({ length: 60 }, (_, k) => ({ chance: 0.01, passed: k === 0 })));
  expect(calibrationPicture("many", many)).toContain("60 doses: promised 1 %, happened 1.67 %");
});
