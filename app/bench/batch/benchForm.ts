import { readNumber } from "@tensidrum/core/quantities";
import { phWays, thicknessUnits, type BatchEntry, type BenchAgent, type DosedSalt, type ReadOff } from "@tensidrum/core/making";

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
  /** A thickness: a number with its unit, or a word of the usual ones. */
  readonly viscosity: string;
  readonly unit: string;
  readonly word: string;
  /** Name of the solution, or of the salt, that is dosed. */
  readonly agent: string;
  /** What the meter shows in the two buffers, and which they are. */
  readonly buffers: readonly string[];
  readonly shown: readonly string[];
  /** Empty for what was typed. */
  readonly readOff: "" | ReadOff;
  /** By step that is still open at the end: why it was skipped. */
  readonly skips: Readonly<Record<string, string>>;
}

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
    viscosity: said("viscosity"),
    unit: said("unit"),
    word: said("word"),
    buffers: form.getAll("buffer").map(String),
    shown: form.getAll("shown").map(String),
    readOff: said("readOff") as BenchForm["readOff"],
    skips: Object.fromEntries(
      [...form].flatMap(([name, value]) => (name.startsWith("skip-") ? [[name.slice("skip-".length), String(value).trim()]] : [])),
    ),
  };
}

/** What a batch can be tuned with. */
export interface Solutions {
  readonly agents: readonly BenchAgent[];
  readonly salts: readonly DosedSalt[];
}

type Made = { readonly entries: readonly BatchEntry[] } | { readonly problem: string };

/**
 * The entries a form makes; what cannot be read is answered in words. Whether they may follow what there is already is
 * for the core to say.
 * @param at ISO in UTC
 * @param solutions what the batch can be tuned with
 */
export function entriesOf(form: BenchForm, at: string, { agents, salts }: Solutions): Made {
  const head = { id: form.id, at };
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
      return thicknessEntry(form, head);
    case "salt":
      return saltEntry(form, head, salts);
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

function weightEntry(form: BenchForm, head: { readonly id: string; readonly at: string }): Made {
  const read = gramsOfWeight(form.grams);
  if ("problem" in read) return read;
  const grams = read.value;
  const readOff = form.readOff === "" ? {} : { readOff: form.readOff };
  if (form.intent === "tare") return { entries: [{ ...head, kind: "tared", vessel: form.vessel, grams }] };
  if (form.intent === "measure") return { entries: [{ ...head, kind: "measured", step: form.step, grams, ...readOff }] };
  return { entries: [{ ...head, kind: "weighed", step: form.step, line: form.line, grams, ...readOff }] };
}

type Head = { readonly id: string; readonly at: string };

function phEntry(form: BenchForm, head: Head): Made {
  const ph = readNumber(form.ph);
  if (!ph.ok) return { problem: "Type the pH the meter or the strip shows, as 5.2." };
  const way = phWays.find((one) => one === form.way) ?? "dilution";
  const sample = form.sample === "" ? { value: 0 } : gramsOfWeight(form.sample);
  if ("problem" in sample) return sample;
  const isSimulated = form.readOff === "simulated meter" || form.readOff === "meter";
  const readOff = isSimulated ? { readOff: form.readOff as ReadOff } : {};
  return { entries: [{ ...head, kind: "ph-read", step: form.step, ph: ph.value, way, sampleGrams: sample.value, ...readOff }] };
}

function doseEntry(form: BenchForm, head: Head, agents: readonly BenchAgent[]): Made {
  const grams = gramsOfWeight(form.grams);
  if ("problem" in grams) return grams;
  const chosen = agents.find(({ name }) => name === form.agent);
  if (chosen === undefined) return { problem: "Choose what was dosed." };
  const { name, line, kind, molarMass, pKas, strengthPercent } = chosen;
  const agent = { name, line, kind, molarMass, pKas, strengthPercent };
  const readOff = form.readOff === "" ? {} : { readOff: form.readOff };
  return { entries: [{ ...head, kind: "dosed", step: form.step, agent, grams: grams.value, ...readOff }] };
}

/** Middle of what a word means, Pa·s. */
export const thicknessWords: Readonly<Record<string, number>> = {
  water: 0.03,
  syrup: 0.4,
  "pump gel": 2.5,
  "thick gel": 12,
  "spoon-standing": 40,
};

function thicknessEntry(form: BenchForm, head: Head): Made {
  const meant = thicknessWords[form.word];
  if (form.viscosity === "" && meant !== undefined) {
    return { entries: [{ ...head, kind: "thickness-read", step: form.step, viscosity: meant, unit: "Pa·s", said: form.word }] };
  }
  const read = readNumber(form.viscosity);
  if (!read.ok) return { problem: "Type the thickness as a number, or choose a word for it." };
  const unit = thicknessUnits.find((one) => one === form.unit) ?? "Pa·s";
  return { entries: [{ ...head, kind: "thickness-read", step: form.step, viscosity: read.value, unit, said: "" }] };
}

function saltEntry(form: BenchForm, head: Head, salts: readonly DosedSalt[]): Made {
  const grams = gramsOfWeight(form.grams);
  if ("problem" in grams) return grams;
  const salt = salts.find(({ name }) => name === form.agent);
  if (salt === undefined) return { problem: "Choose what was added." };
  const readOff = form.readOff === "" ? {} : { readOff: form.readOff };
  return { entries: [{ ...head, kind: "salted", step: form.step, salt, grams: grams.value, ...readOff }] };
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
  return { entries: [{ ...head, kind: "calibrated", buffers }] };
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
