import type { ReadOff } from "@tensidrum/core/process";

export const benchIntents = [
  "weigh",
  "measure",
  "fill",
  "plan-filling",
  "check-filling",
  "try-container",
  "fill-one",
  "lose-filling",
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
  "take-sample",
  "pour-back",
  "lose-sample",
  "calibrate",
  "read-thickness",
  "salt",
  "drops",
  "set-target",
  "read-temperature",
  "look",
  "thicken",
  "finish",
  "discard",
] as const;

/** What was done at the bench, as typed. */
export interface BenchForm {
  readonly id: string;
  readonly intent: (typeof benchIntents)[number];
  readonly step: string;
  readonly line: string;
  /** Of a weight or a tare: which beaker; "sample" for what is done to the sample taken aside. */
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
  /** How many containers were filled. */
  readonly count: string;
  /** Of a filling: the row of its plan, which container of it, whether its trial went well, and what was seen to. */
  readonly row: string;
  readonly number: string;
  readonly works: string;
  readonly check: string;
  /** The plan of a filling as the page computed it, JSON. */
  readonly filling: string;
  /** How many drops were weighed together. */
  readonly drops: string;
  /** Ends of the pH the maker wants. */
  readonly low: string;
  readonly high: string;
  /** Of a look: at what moment, how clear, and the words that were tapped. */
  readonly when: string;
  readonly clarity: string;
  readonly looks: readonly string[];
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

const SKIPS = "skips.";

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
      diameter: said("bead.diameter"),
      density: said("bead.density"),
      jar: said("bead.jar"),
      fall: said("bead.fall"),
      seconds: said("bead.seconds"),
    },
    low: said("low"),
    high: said("high"),
    when: said("when"),
    clarity: said("clarity"),
    looks: form.getAll("looks").map(String),
    count: said("count"),
    row: said("row"),
    number: said("number"),
    works: said("works"),
    check: said("check"),
    filling: said("filling"),
    drops: said("drops"),
    because: said("because"),
    buffers: form.getAll("buffers").map(String),
    shown: form.getAll("shown").map(String),
    readOff: said("readOff") as BenchForm["readOff"],
    skips: Object.fromEntries(
      [...form].flatMap(([name, value]) => (name.startsWith(SKIPS) ? [[name.slice(SKIPS.length), String(value).trim()]] : [])),
    ),
  };
}
