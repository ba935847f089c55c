import { beadViscosity, flowViscosity, middleOf, type FunnelConstants } from "@tensidrum/core/rheology";
import { readNumber } from "@tensidrum/core/quantities";
import { beadFields, type BeadField, type ThicknessWay } from "./looks";

interface TypedThickness extends Readonly<Record<BeadField, string>> {
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

/** Reads a thickness by the way it was told: a number in Pa·s, seconds of the maker's flow cup or of a falling bead, or a word. */
export function readThickness({ thickness, by, word, ...bead }: TypedThickness, funnel: FunnelConstants | null): ReadThickness {
  if (by === "word") {
    const viscosity = word === "" ? null : middleOf(word);
    return { viscosity, said: viscosity === null ? "" : `“${word}”, an estimate` };
  }
  if (thickness === "") return { viscosity: null, said: "" };
  const read = readNumber(thickness);
  if (!read.ok || !(read.value > 0) || read.value > MOST) return { problem: "Give a number above 0." };
  if (by === "Pa·s") return { viscosity: read.value, said: "" };
  if (by === "bead, s") return readBead(read.value, bead);
  if (funnel === null) return { problem: "The flow cup was never run with known liquids. Settings, Flow cup does that." };
  const found = flowViscosity(funnel, read.value, DENSITY);
  return found.found ? { viscosity: found.pascalSeconds, said: `${thickness} s by flow cup, an estimate` } : { problem: found.reason };
}

function readBead(seconds: number, typed: Readonly<Record<BeadField, string>>): ReadThickness {
  const [beadDiameterMm, beadDensity, jarDiameterMm, fallMm] = beadFields
    .map(({ name, usual }) => readNumber(typed[name] === "" ? usual : typed[name]))
    .map((read) => (read.ok && read.value > 0 ? read.value : null));
  if (beadDiameterMm == null || beadDensity == null || jarDiameterMm == null || fallMm == null) {
    return { problem: "Give the bead, the jar and how far it fell as numbers above 0." };
  }
  const found = beadViscosity({ beadDiameterMm, beadDensity, jarDiameterMm, liquidDensity: DENSITY, fallMm, seconds });
  if (!found.valid || found.pascalSeconds === null) return { problem: found.text };
  return { viscosity: found.pascalSeconds, said: `a bead fell ${fallMm} mm in ${seconds} s, an estimate` };
}
