import { flowViscosity, middleOf, type FunnelConstants } from "@tensidrum/core/rheology";
import { readNumber } from "@tensidrum/core/quantities";
import type { ThicknessWay } from "./looks";

interface TypedThickness {
  readonly thickness: string;
  readonly by: ThicknessWay;
  readonly word: string;
}

export type ReadThickness = { readonly viscosity: number | null; readonly said: string } | { readonly problem: string };

/** Of a wash; the funnel is a rough gauge, and its answer an estimate. g/mL */
const DENSITY = 1.02;
const MOST = 100_000;

/** The constants of a maker's flow cup; null while it was never run with known liquids. */
export function calibratedOrNull(
  maker: { readonly funnelK: number | null; readonly funnelC: number | null } | undefined,
): FunnelConstants | null {
  return maker?.funnelK == null || maker.funnelC === null ? null : { k: maker.funnelK, c: maker.funnelC };
}

/** Reads a thickness by the way it was told: a number in Pa·s, seconds of the maker's flow cup, or a word. */
export function readThickness({ thickness, by, word }: TypedThickness, funnel: FunnelConstants | null): ReadThickness {
  if (by === "word") {
    const viscosity = word === "" ? null : middleOf(word);
    return { viscosity, said: viscosity === null ? "" : `“${word}”, an estimate` };
  }
  if (thickness === "") return { viscosity: null, said: "" };
  const read = readNumber(thickness);
  if (!read.ok || !(read.value > 0) || read.value > MOST) return { problem: "Give a number above 0." };
  if (by === "Pa·s") return { viscosity: read.value, said: "" };
  if (funnel === null) return { problem: "The flow cup was never run with known liquids. Settings, Flow cup does that." };
  const found = flowViscosity(funnel, read.value, DENSITY);
  return found.found ? { viscosity: found.pascalSeconds, said: `${thickness} s by flow cup, an estimate` } : { problem: found.reason };
}
