import { SIMULATED_CUP } from "@tensidrum/core/instruments";
import type { BatchEntry } from "@tensidrum/core/process";
import { readNumber } from "@tensidrum/core/quantities";
import { beadViscosity, flowViscosity, middleOf } from "@tensidrum/core/rheology";
import { beadFields, type BenchForm } from "./benchForm";
import type { Solutions } from "./solutionsOf";

type Measured = Pick<BatchEntry & { readonly kind: "thickness-read" }, "viscosity" | "unit" | "said" | "gauge">;

/** A thickness as a form tells it, in one of the ways of measuring. */
export function measuredThickness(
  form: Pick<BenchForm, "by" | "viscosity" | "word" | "bead" | "readOff">,
  { funnel, densityGramsPerMl }: Pick<Solutions, "funnel" | "densityGramsPerMl">,
): Measured | { readonly problem: string } {
  if (form.by === "word") {
    const meant = middleOf(form.word);
    return meant === null ? { problem: "Choose a word for it." } : { viscosity: meant, unit: "Pa·s", said: form.word, gauge: "word" };
  }
  if (form.by === "bead") return beadThickness(form.bead, densityGramsPerMl);
  const read = readNumber(form.viscosity);
  if (!read.ok) return { problem: "Type the thickness as a number, or choose another way of measuring it." };
  const constants = form.readOff === "simulated cup" ? SIMULATED_CUP : funnel;
  if (form.by !== "funnel") return { viscosity: read.value, unit: "Pa·s", said: "", gauge: "number" };
  if (constants === null || read.value <= 0) {
    return { viscosity: read.value, unit: "s", said: middleOf(form.word) === null ? "" : form.word, gauge: "funnel" };
  }
  const flow = flowViscosity(constants, read.value, densityGramsPerMl);
  if (!flow.found) return { problem: flow.reason };
  return {
    viscosity: Number(flow.pascalSeconds.toPrecision(3)),
    unit: "Pa·s",
    said: `${read.value} s through the flow cup`,
    gauge: "funnel",
  };
}

function beadThickness(bead: BenchForm["bead"], liquidDensity: number): Measured | { readonly problem: string } {
  const [diameter, density, saltSample, fall, seconds] = beadFields
    .map((field) => readNumber(bead[field]))
    .map((one) => (one.ok && one.value > 0 ? one.value : null));
  if (diameter == null || density == null || saltSample == null || fall == null || seconds == null) {
    return { problem: "Type the bead's diameter and density, the jar's width, how far it fell and in how many seconds." };
  }
  const found = beadViscosity({
    beadDiameterMm: diameter,
    beadDensity: density,
    jarDiameterMm: saltSample,
    liquidDensity,
    fallMm: fall,
    seconds,
  });
  if (!found.valid || found.pascalSeconds === null) return { problem: found.text };
  return {
    viscosity: Number(found.pascalSeconds.toPrecision(3)),
    unit: "Pa·s",
    gauge: "number",
    said: `a bead of ${diameter} mm fell ${fall} mm in ${seconds} s`,
  };
}
