import { SIMULATED_CUP } from "@tensidrum/core/instruments";
import { readNumber } from "@tensidrum/core/quantities";
import { beadViscosity, flowViscosity, type FunnelConstants } from "@tensidrum/core/thickness";
import { phWays, type BatchEntry, type BenchAgent, type DosedSalt, type ReadOff } from "@tensidrum/core/making";

export const benchIntents = [
  "weigh",
  "measure",
  "done",
  "skip",
  "accept",
  "correct",
  "again",
  "restart",
  "back",
  "note",
  "timer",
  "end-wait",
  "pause",
  "resume",
  "tare",
  "read-ph",
  "dose",
  "calibrate",
  "read-thickness",
  "salt",
  "drops",
  "thicken",
  "finish",
] as const;

/** What was done at the bench, as typed. */
export interface BenchForm {
  readonly id: string;
  readonly intent: (typeof benchIntents)[number];
  readonly step: string;
  readonly line: string;
  readonly vessel: string;
  readonly grams: string;
  readonly minutes: string;
  readonly text: string;
  /** The entries that are taken back, with spaces between, or the one that began the wait that is ended. */
  readonly entry: string;
  readonly ph: string;
  readonly way: string;
  /** What the reading takes out of the batch, g. */
  readonly sample: string;
  /** Of the sample, °C; empty where nobody measured it. */
  readonly temperature: string;
  /** How a thickness was measured, and its number, its word, or the bead's fall. */
  readonly by: string;
  readonly viscosity: string;
  readonly word: string;
  readonly bead: Readonly<Record<(typeof beadFields)[number], string>>;
  /** How many drops were weighed together. */
  readonly drops: string;
  /** Name of the solution, or of the salt, that is dosed. */
  readonly agent: string;
  /** What the meter shows in the two buffers, and which they are. */
  readonly buffers: readonly string[];
  readonly shown: readonly string[];
  /** Why it stands although it was asked about; empty where it was not. */
  readonly because: string;
  /** Empty for what was typed. */
  readonly readOff: "" | ReadOff;
  /** By step that is still open at the end: why it was skipped. */
  readonly skips: Readonly<Record<string, string>>;
}

export const beadFields = ["diameter", "density", "jar", "fall", "seconds"] as const;

/** How a thickness can be measured at home. */
export const thicknessWays = ["Pa·s", "funnel", "word", "bead"] as const;

/** A form of the bench as the page holds it; whether it can be one is for the reader on the server. */
export function typedBenchForm(form: FormData): BenchForm {
  const said = (name: string): string => String(form.get(name) ?? "").trim();
  return {
    id: said("id"),
    intent: said("intent") as BenchForm["intent"],
    step: said("step"),
    line: said("line"),
    vessel: said("vessel"),
    grams: said("grams"),
    minutes: said("minutes"),
    text: said("text"),
    entry: said("entry"),
    ph: said("ph"),
    way: said("way"),
    sample: said("sample"),
    agent: said("agent"),
    temperature: said("temperature"),
    by: said("by"),
    viscosity: said("viscosity"),
    word: said("word"),
    bead: {
      diameter: said("bead-diameter"),
      density: said("bead-density"),
      jar: said("bead-jar"),
      fall: said("bead-fall"),
      seconds: said("bead-seconds"),
    },
    drops: said("drops"),
    because: said("because"),
    buffers: form.getAll("buffer").map(String),
    shown: form.getAll("shown").map(String),
    readOff: said("readOff") as BenchForm["readOff"],
    skips: Object.fromEntries(
      [...form].flatMap(([name, value]) => (name.startsWith("skip-") ? [[name.slice("skip-".length), String(value).trim()]] : [])),
    ),
  };
}

/** What a batch can be tuned with, and what its thickness is measured by. */
export interface Solutions {
  readonly agents: readonly BenchAgent[];
  readonly salts: readonly DosedSalt[];
  /** Null while the maker's funnel was never run with known liquids: its seconds stand for themselves then. */
  readonly funnel: FunnelConstants | null;
  readonly densityGramsPerMl: number;
}

type Made = { readonly entries: readonly BatchEntry[] } | { readonly problem: string };

/**
 * The entries a form makes; what cannot be read is answered in words. Whether they may follow what there is already is
 * for the core to say.
 * @param at ISO in UTC
 * @param solutions what the batch can be tuned with
 */
export function entriesOf(form: BenchForm, at: string, solutions: Solutions): Made {
  const { agents, salts } = solutions;
  const head: Head = { id: form.id, at, ...(form.because === "" ? {} : { because: form.because }) };
  const one = (entry: BatchEntry): Made => ({ entries: [entry] });
  const step = form.step === "" ? null : form.step;
  switch (form.intent) {
    case "weigh":
    case "measure":
    case "tare":
      return weightEntry(form, head);
    case "done":
      return one({ ...head, kind: "done", step: form.step });
    case "skip":
      return one({ ...head, kind: "skipped", step: form.step, reason: form.text });
    case "accept":
    case "correct":
      return one({ ...head, kind: form.intent === "accept" ? "accepted" : "corrected", line: form.line });
    case "again":
    case "back":
      return one({ ...head, kind: "taken-back", entry: form.entry });
    case "restart":
      return { entries: form.entry.split(" ").map((entry): BatchEntry => ({ id: crypto.randomUUID(), at, kind: "taken-back", entry })) };
    case "note":
      return one({ ...head, kind: "noted", step, text: form.text });
    case "timer": {
      const minutes = readNumber(form.minutes.replace(/\s*min(utes?)?$/i, ""));
      if (!minutes.ok) return { problem: "Type how many minutes the clock is to run." };
      return one({ ...head, kind: "timer", text: form.text === "" ? "clock" : form.text, minutes: minutes.value });
    }
    case "end-wait":
      return one({ ...head, kind: "wait-ended", wait: form.entry });
    case "pause":
    case "resume":
      return one({ ...head, kind: form.intent === "pause" ? "paused" : "resumed" });
    case "read-ph":
      return phEntry(form, head);
    case "dose":
      return doseEntry(form, head, agents);
    case "read-thickness":
      return thicknessEntry(form, head, solutions);
    case "salt":
      return saltEntry(form, head, salts);
    case "drops":
      return dropsEntry(form, head);
    case "thicken": {
      const grams = gramsOfWeight(form.grams);
      if ("problem" in grams) return grams;
      return one({ ...head, kind: "thickened", step: form.step, line: form.line, grams: grams.value, ...readOffOf(form) });
    }
    case "calibrate":
      return calibrationEntry(form, head);
    case "finish": {
      const grams = gramsOfWeight(form.grams);
      if ("problem" in grams) return { problem: "Weigh what came out and give the grams." };
      const skipped = Object.entries(form.skips).map(([id, reason]): BatchEntry => {
        return { id: crypto.randomUUID(), at, kind: "skipped", step: id, reason };
      });
      return { entries: [...skipped, { ...head, kind: "finished", yieldGrams: grams.value }] };
    }
  }
}

function readOffOf({ readOff }: BenchForm): { readonly readOff?: ReadOff } {
  return readOff === "" ? {} : { readOff };
}

function weightEntry(form: BenchForm, head: Head): Made {
  const read = gramsOfWeight(form.grams);
  if ("problem" in read) return read;
  const grams = read.value;
  const readOff = readOffOf(form);
  if (form.intent === "tare") return { entries: [{ ...head, kind: "tared", vessel: form.vessel, grams }] };
  if (form.intent === "measure") return { entries: [{ ...head, kind: "measured", step: form.step, grams, ...readOff }] };
  return { entries: [{ ...head, kind: "weighed", step: form.step, line: form.line, grams, ...readOff }] };
}

type Head = { readonly id: string; readonly at: string; readonly because?: string };

function phEntry(form: BenchForm, head: Head): Made {
  const ph = readNumber(form.ph);
  if (!ph.ok) return { problem: "Type the pH the meter or the strip shows, as 5.2." };
  const way = phWays.find((one) => one === form.way) ?? "dilution";
  const sample = form.sample === "" ? { value: 0 } : gramsOfWeight(form.sample);
  if ("problem" in sample) return sample;
  const temperature = form.temperature === "" ? null : readNumber(form.temperature.replace(/\s*°?\s*c$/i, ""));
  if (temperature !== null && !(temperature.ok && temperature.value >= 0 && temperature.value <= 100)) {
    return { problem: "Type the temperature of the sample in °C, as 22, or leave it empty." };
  }
  const temperatureC = temperature?.ok === true ? { temperatureC: temperature.value } : {};
  const read = { step: form.step, ph: ph.value, way, sampleGrams: sample.value, ...temperatureC, ...readOffOf(form) };
  return { entries: [{ ...head, kind: "ph-read", ...read }] };
}

function doseEntry(form: BenchForm, head: Head, agents: readonly BenchAgent[]): Made {
  const grams = gramsOfWeight(form.grams);
  if ("problem" in grams) return grams;
  const chosen = agents.find(({ name }) => name === form.agent);
  if (chosen === undefined) return { problem: "Choose what was dosed." };
  const { name, line, kind, molarMass, pKas, strengthPercent } = chosen;
  const agent = { name, line, kind, molarMass, pKas, strengthPercent };
  return { entries: [{ ...head, kind: "dosed", step: form.step, agent, grams: grams.value, ...readOffOf(form) }] };
}

/** Middle of what a word means, Pa·s. */
export const thicknessWords: Readonly<Record<string, number>> = {
  water: 0.03,
  syrup: 0.4,
  "pump gel": 2.5,
  "thick gel": 12,
  "spoon-standing": 40,
};

type Measured = Pick<BatchEntry & { readonly kind: "thickness-read" }, "viscosity" | "unit" | "said">;

function thicknessEntry(form: BenchForm, head: Head, solutions: Solutions): Made {
  const measured = measuredThickness(form, solutions);
  if ("problem" in measured) return measured;
  return { entries: [{ ...head, kind: "thickness-read", step: form.step, ...measured, ...readOffOf(form) }] };
}

/** A thickness as a form tells it, in one of the ways of measuring. */
export function measuredThickness(
  form: Pick<BenchForm, "by" | "viscosity" | "word" | "bead" | "readOff">,
  { funnel, densityGramsPerMl }: Pick<Solutions, "funnel" | "densityGramsPerMl">,
): Measured | { readonly problem: string } {
  if (form.by === "word") {
    const meant = thicknessWords[form.word];
    return meant === undefined ? { problem: "Choose a word for it." } : { viscosity: meant, unit: "Pa·s", said: form.word };
  }
  if (form.by === "bead") return beadThickness(form.bead, densityGramsPerMl);
  const read = readNumber(form.viscosity);
  if (!read.ok) return { problem: "Type the thickness as a number, or choose another way of measuring it." };
  const constants = form.readOff === "simulated cup" ? SIMULATED_CUP : funnel;
  if (form.by !== "funnel") return { viscosity: read.value, unit: "Pa·s", said: "" };
  if (constants === null || read.value <= 0) return { viscosity: read.value, unit: "s", said: "" };
  const flow = flowViscosity(constants, read.value, densityGramsPerMl);
  if (!flow.found) return { problem: flow.reason };
  return { viscosity: Number(flow.pascalSeconds.toPrecision(3)), unit: "Pa·s", said: `${read.value} s through the funnel` };
}

function beadThickness(bead: BenchForm["bead"], liquidDensity: number): Measured | { readonly problem: string } {
  const [diameter, density, jar, fall, seconds] = beadFields
    .map((field) => readNumber(bead[field]))
    .map((one) => (one.ok && one.value > 0 ? one.value : null));
  if (diameter == null || density == null || jar == null || fall == null || seconds == null) {
    return { problem: "Type the bead's diameter and density, the jar's width, how far it fell and in how many seconds." };
  }
  const found = beadViscosity({ beadDiameterMm: diameter, beadDensity: density, jarDiameterMm: jar, liquidDensity, fallMm: fall, seconds });
  if (!found.valid || found.pascalSeconds === null) return { problem: found.text };
  return {
    viscosity: Number(found.pascalSeconds.toPrecision(3)),
    unit: "Pa·s",
    said: `a bead of ${diameter} mm fell ${fall} mm in ${seconds} s`,
  };
}

function dropsEntry(form: BenchForm, head: Head): Made {
  const grams = gramsOfWeight(form.grams);
  if ("problem" in grams) return grams;
  const drops = readNumber(form.drops);
  if (!drops.ok || !Number.isInteger(drops.value) || drops.value < 1) return { problem: "Type how many drops you weighed, as 20." };
  return { entries: [{ ...head, kind: "drops-weighed", agent: form.agent, drops: drops.value, grams: grams.value, ...readOffOf(form) }] };
}

function saltEntry(form: BenchForm, head: Head, salts: readonly DosedSalt[]): Made {
  const grams = gramsOfWeight(form.grams);
  if ("problem" in grams) return grams;
  const salt = salts.find(({ name }) => name === form.agent);
  if (salt === undefined) return { problem: "Choose what was added." };
  return { entries: [{ ...head, kind: "salted", step: form.step, salt, grams: grams.value, ...readOffOf(form) }] };
}

function calibrationEntry(form: BenchForm, head: Head): Made {
  const read = [...form.buffers, ...form.shown].map(readNumber);
  const [first, second, shownFirst, shownSecond] = read.map((one) => (one.ok && one.value >= 0 && one.value <= 14 ? one.value : null));
  if (first == null || second == null || shownFirst == null || shownSecond == null) {
    return { problem: "Type both buffers and what the meter showed in each, 0 to 14." };
  }
  const buffers = [
    { bufferPh: first, readingPh: shownFirst },
    { bufferPh: second, readingPh: shownSecond },
  ] as const;
  return { entries: [{ ...head, kind: "calibrated", buffers, ...readOffOf(form) }] };
}

/** A weight as a scale in grams shows it: a number, alone or with g. */
export function gramsOfWeight(text: string): { readonly value: number } | { readonly problem: string } {
  const unit = /[a-zµ]+\.?$/i.exec(text.trim())?.[0] ?? "";
  if (unit !== "" && /\d/.test(text) && !/^(g|grams?)$/i.test(unit)) {
    return { problem: `Your scales show grams, not ${unit}. Set the scale to g and type what it shows.` };
  }
  const read = readNumber(unit === "" ? text : text.trim().slice(0, -unit.length));
  return read.ok ? { value: read.value } : { problem: "Type the weight in grams, as the scale shows it." };
}
