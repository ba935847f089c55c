import {
  clarityLooks,
  dilutedTenfold,
  fillChecks,
  looksWords,
  phWays,
  type BatchEntry,
  type BenchAgent,
  type DosedSalt,
  type ReadOff,
} from "@tensidrum/core/process";
import { readNumber, textProblem } from "@tensidrum/core/quantities";
import { thicknessWords } from "@tensidrum/core/rheology";
import type { BenchForm } from "./benchForm";
import { gramsOfWeight } from "./gramsOfWeight";
import { measuredThickness } from "./measuredThickness";
import type { Solutions } from "./solutionsOf";

type Made = { readonly entries: readonly BatchEntry[] } | { readonly problem: string };

/**
 * The entries a form makes; what cannot be read is answered in words. Whether they may follow what there is already is
 * for the core to say.
 * @param at ISO in UTC
 * @param solutions what the batch can be tuned with
 */
export function entriesOf(form: BenchForm, at: string, solutions: Solutions): Made {
  const { agents, salts } = solutions;
  const problem = textProblem([form.text, form.because, ...Object.values(form.skips)].join("\n"));
  if (problem !== null) return { problem };
  const head: Head = { id: form.id, at, ...(form.because === "" ? {} : { because: form.because }) };
  const one = (entry: BatchEntry): Made => ({ entries: [entry] });
  const step = form.step === "" ? null : form.step;
  switch (form.intent) {
    case "weigh":
    case "measure":
    case "tare":
      return weightEntry(form, head);
    case "done":
      return doneEntries(form, head);
    case "fill": {
      const count = readNumber(form.count);
      if (!count.ok) return { problem: "Count the containers: how many of them were filled?" };
      return one({ ...head, kind: "filled", step: form.step, count: count.value, container: form.text });
    }
    case "plan-filling":
      return planEntry(form, head);
    case "check-filling": {
      const check = fillChecks.find((each) => each === form.check);
      return check === undefined ? { problem: "Say what was seen to." } : one({ ...head, kind: "fill-checked", check });
    }
    case "try-container":
      return one({ ...head, kind: "container-tried", row: form.row, works: form.works === "yes", text: form.text });
    case "fill-one": {
      const grams = gramsOfWeight(form.grams);
      if ("problem" in grams) return grams;
      return one({ ...head, kind: "container-filled", row: form.row, number: Number(form.number), grams: grams.value, ...readOffOf(form) });
    }
    case "lose-filling": {
      const grams = gramsOfWeight(form.grams);
      if ("problem" in grams) return grams;
      return one({ ...head, kind: "fill-lost", grams: grams.value, text: form.text });
    }
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
    case "set-target": {
      const [low, high] = [readNumber(form.low), readNumber(form.high)];
      if (!low.ok || !high.ok) return { problem: "Give both ends of the pH you want, as 5.0 and 5.4." };
      return one({ ...head, kind: "ph-target", step: form.step, low: low.value, high: high.value });
    }
    case "read-temperature": {
      const read = readNumber(form.temperature.replace(/\s*°?\s*c$/i, ""));
      if (!read.ok) return { problem: "Type what the thermometer shows in °C, as 72." };
      return one({ ...head, kind: "temperature-read", step: form.step, temperatureC: read.value, ...readOffOf(form) });
    }
    case "look":
      return one(lookEntry(form, head, step));
    case "dose":
      return doseEntry(form, head, agents);
    case "take-sample":
    case "pour-back": {
      const grams = gramsOfWeight(form.grams);
      if ("problem" in grams) return grams;
      const kind = form.intent === "take-sample" ? "sample-taken" : "sample-back";
      return one({ ...head, kind, step: form.step, grams: grams.value, ...readOffOf(form) });
    }
    case "lose-sample":
      return one({ ...head, kind: "sample-lost", step: form.step, reason: form.text });
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
    case "discard":
      return one({ ...head, kind: "discarded" });
    case "finish": {
      const grams = gramsOfWeight(form.grams);
      if ("problem" in grams) return { problem: "Weigh the yield and give the grams." };
      const skipped = Object.entries(form.skips).map(([id, reason]): BatchEntry => {
        return { id: crypto.randomUUID(), at, kind: "skipped", step: id, reason };
      });
      return { entries: [...skipped, { ...head, kind: "finished", yieldGrams: grams.value }] };
    }
  }
}

/** The plan of a filling as the page computed it; the server has read every field of it before it comes here. */
function planEntry({ filling }: BenchForm, head: Head): Made {
  try {
    const plan = JSON.parse(filling) as Pick<BatchEntry & { readonly kind: "fill-planned" }, "filling" | "density">;
    return { entries: [{ ...head, kind: "fill-planned", filling: plan.filling, density: plan.density }] };
  } catch {
    return { problem: "This plan cannot be read. Plan it anew." };
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

/** A step that is done; with the water that was put back in it, where some was. */
function doneEntries(form: BenchForm, head: Head): Made {
  const done: BatchEntry = { ...head, kind: "done", step: form.step };
  if (form.grams === "") return { entries: [done] };
  const grams = gramsOfWeight(form.grams);
  if ("problem" in grams) return grams;
  if (grams.value === 0) return { entries: [done] };
  return { entries: [{ id: crypto.randomUUID(), at: head.at, kind: "topped-up", step: form.step, grams: grams.value }, done] };
}

const isOfSample = ({ vessel }: BenchForm): boolean => vessel === "sample";

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
  return { entries: [{ ...head, kind: isOfSample(form) ? "sample-read" : "ph-read", ...read }] };
}

function lookEntry(form: BenchForm, head: Head, step: string | null): BatchEntry {
  return {
    ...{ ...head, kind: "looked", step },
    when: form.when === "before" || form.when === "after" ? form.when : "now",
    thickness: thicknessWords.find((word) => word === form.word) ?? "",
    clarity: clarityLooks.find((word) => word === form.clarity) ?? "",
    words: looksWords.filter((word) => form.looks.includes(word)),
    text: form.text,
  };
}

function doseEntry(form: BenchForm, head: Head, agents: readonly BenchAgent[]): Made {
  const grams = gramsOfWeight(form.grams);
  if ("problem" in grams) return grams;
  const chosen = agents.find(({ name }) => name === form.agent);
  if (chosen === undefined) return { problem: "Choose what was dosed." };
  const { dropGrams: _drop, leftGrams: _left, ...agent } = isOfSample(form) ? dilutedTenfold(chosen) : chosen;
  return {
    entries: [
      { ...head, kind: isOfSample(form) ? "sample-dosed" : "dosed", step: form.step, agent, grams: grams.value, ...readOffOf(form) },
    ],
  };
}

function thicknessEntry(form: BenchForm, head: Head, solutions: Solutions): Made {
  const measured = measuredThickness(form, solutions);
  if ("problem" in measured) return measured;
  return { entries: [{ ...head, kind: "thickness-read", step: form.step, ...measured, ...readOffOf(form) }] };
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
