import { assessSums } from "@tensidrum/core/assessment";
import { type Formula } from "@tensidrum/core/formula";
import { referenceLibrary } from "@tensidrum/core/reference";
import { HyperFormula } from "hyperformula";
import { sheetOfLines } from "./coreBench";
import { millisecondsPerCall, type Measured } from "./measure";

const library = new Map(referenceLibrary.map((material) => [material.slug, material]));
const LINES = 40;
const TIMING = { blocks: 40, callsPerBlock: 50 };
/** Columns of the workbook. */
const PERCENT = 0;

/** The same sums as a workbook: percent, active, salt, electrolyte, density in; grams, active matter, salt, volume out. */
function workbookOf(formula: Formula): HyperFormula {
  const rows = formula.lines.map((line, index) => {
    const material = library.get(line.material);
    const row = index + 1;
    const active = material?.countsAsActive === true ? (material.active?.typical ?? 0) : 0;
    return [
      line.qs === true ? `=100-SUM(A2:A${LINES})` : (line.percent ?? 0),
      active,
      material?.saltPercent ?? 0,
      material?.electrolytePercent ?? 0,
      material?.trueDensityGramsPerMl ?? 1,
      `=${formula.batchGrams}*A${row}/100`,
      `=ROUND(F${row},1)`,
      `=A${row}*B${row}/100`,
      `=A${row}*C${row}/100`,
      `=A${row}*D${row}/100`,
      `=A${row}/E${row}`,
      `=IF(F${row}<2,"too small","")`,
    ];
  });
  const totals = ["A", "F", "G", "H", "I", "J", "K"].map((column) => `=SUM(${column}1:${column}${LINES})`);
  return HyperFormula.buildFromArray([...rows, totals, ["=A41/G41"]], { licenseKey: "gpl-v3" });
}

/**
 * The core beside a general spreadsheet engine, in the same run: a sheet read and summed from nothing, and one percent
 * changed in a workbook that stands already. The core makes everything anew in both.
 */
export function benchSpreadsheet(): Measured[] {
  const formula = sheetOfLines(LINES);
  const workbook = workbookOf(formula);
  let turn = 0;
  const nextPercent = () => 1 + (turn++ % 10) / 100;
  const built = millisecondsPerCall(() => workbookOf(formula).destroy(), { blocks: 20, callsPerBlock: 5 });
  const changed = millisecondsPerCall(() => workbook.setCellContents({ sheet: 0, row: 5, col: PERCENT }, [[nextPercent()]]), TIMING);
  const core = millisecondsPerCall(() => {
    const lines = formula.lines.with(5, { id: "line-5", phase: "A", material: "glycerin", percent: nextPercent() });
    return assessSums({ ...formula, lines }, library);
  }, TIMING);
  workbook.destroy();
  return [
    { what: "yardstick: sums of 40 lines in a spreadsheet engine, from nothing", value: built, unit: "ms", limit: null },
    { what: "yardstick: the same, one cell of a standing workbook changed", value: changed, unit: "ms", limit: null },
    { what: "core: the same sums, all made anew", value: core, unit: "ms", limit: 0.1 },
    { what: "core: times as fast, from nothing (aim 50)", value: built / core, unit: "times", limit: null },
    { what: "core: times as fast as one changed cell", value: changed / core, unit: "times", limit: null },
  ];
}
