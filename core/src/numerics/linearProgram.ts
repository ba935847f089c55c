import type { Highs, Model, ModelData } from "highs";

/** A row of a polytope: lower ≤ Σ values × x[indices] ≤ upper. */
export interface PolytopeRow {
  readonly indices: readonly number[];
  readonly values: readonly number[];
  readonly lower: number;
  readonly upper: number;
}

/** All x with lower ≤ x ≤ upper that keep every row; ends may be infinite. */
export interface Polytope {
  readonly lower: readonly number[];
  readonly upper: readonly number[];
  readonly rows: readonly PolytopeRow[];
}

/** Corners of a polytope; of `extremes` those at which each variable in turn is smallest and largest, 2 for each, smallest first. */
export type Extremes = { readonly found: true; readonly corners: readonly Float64Array[] } | { readonly found: false };

export interface LinearSolver {
  /** Least and most of every variable, by two linear programs each. Not found when nothing satisfies all rows. */
  extremes(polytope: Polytope): Extremes;
  /** Where each sum of costs × x is least. Not found when nothing satisfies all rows. */
  leastOf(polytope: Polytope, costs: readonly (readonly number[])[]): Extremes;
  /** Whether anything satisfies all rows. */
  isPossible(polytope: Polytope): boolean;
}

const OPTIMAL = 7;

/**
 * Loads the solver of linear programs (revised simplex, Huangfu and Hall 2018), a WebAssembly module that is fetched only
 * here.
 * @param locateFile Where its binary lies; in Node.js it is found by itself.
 */
export async function loadLinearSolver(locateFile?: (file: string) => string): Promise<LinearSolver> {
  const { default: load } = await import("highs");
  const highs = await load(locateFile === undefined ? {} : { locateFile });
  return {
    extremes: (polytope) => extremesOf(highs, polytope),
    leastOf: (polytope, costs) => leastOf(highs, polytope, costs),
    isPossible: (polytope) => isPossible(highs, polytope),
  };
}

function leastOf(highs: Highs, polytope: Polytope, costs: readonly (readonly number[])[]): Extremes {
  return highs.withModel(modelOf(highs, polytope), (model): Extremes => {
    model.options.set({ output_flag: false, presolve: "off" });
    const corners: Float64Array[] = [];
    for (const cost of costs) {
      for (const [column, each] of cost.entries()) model.changeColCost(column, each);
      if (!solved(model)) return { found: false };
      corners.push(Float64Array.from(model.getSolution().colValue));
    }
    return { found: true, corners };
  });
}

function isPossible(highs: Highs, polytope: Polytope): boolean {
  return highs.withModel(modelOf(highs, polytope), (model): boolean => {
    model.options.set({ output_flag: false });
    return solved(model);
  });
}

function extremesOf(highs: Highs, polytope: Polytope): Extremes {
  const numCols = polytope.lower.length;
  const { minimize, maximize } = highs.constants.objectiveSense;
  return highs.withModel(modelOf(highs, polytope), (model): Extremes => {
    model.options.set({ output_flag: false, presolve: "off" });
    const corners: Float64Array[] = [];
    for (let column = 0; column < numCols; column += 1) {
      if (column > 0) model.changeColCost(column - 1, 0);
      model.changeColCost(column, 1);
      for (const sense of [minimize, maximize]) {
        model.changeObjectiveSense(sense);
        if (!solved(model)) return { found: false };
        corners.push(Float64Array.from(model.getSolution().colValue));
      }
    }
    return { found: true, corners };
  });
}

/** Goes on from the last corner; where that leads nowhere, begins afresh. */
function solved(model: Model): boolean {
  model.run();
  if (model.getModelStatus() === OPTIMAL) return true;
  model.clearSolver();
  model.run();
  return model.getModelStatus() === OPTIMAL;
}

function modelOf(highs: Highs, { lower, upper, rows }: Polytope): ModelData {
  const finite = (value: number): number => (Math.abs(value) === Infinity ? Math.sign(value) * highs.infinity : value);
  const starts = [0];
  for (const { indices } of rows) starts.push(starts.at(-1)! + indices.length);
  return {
    numCols: lower.length,
    numRows: rows.length,
    colCost: lower.map(() => 0),
    colLower: lower.map(finite),
    colUpper: upper.map(finite),
    rowLower: rows.map((row) => finite(row.lower)),
    rowUpper: rows.map((row) => finite(row.upper)),
    matrix: {
      format: "csr",
      numRows: rows.length,
      numCols: lower.length,
      starts,
      indices: rows.flatMap(({ indices }) => indices),
      values: rows.flatMap(({ values }) => values),
    },
  };
}
