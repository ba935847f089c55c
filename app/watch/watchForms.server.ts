import Joi from "joi";
import { clarityLooks } from "@tensidrum/core/process";
import { alarmKinds, colourChanges, spoilSigns, storages } from "@tensidrum/core/stability";
import { Refusal } from "@tensidrum/core/quantities";
import { thicknessWords } from "@tensidrum/core/rheology";
import { choice, file, group, id, idOrNone, list, text, type TypedOf } from "../frame/fields.server";
import { readAddress } from "../frame/readForm.server";
import { thicknessWays } from "./looks";

const intents = ["begin", "keep", "skip", "move", "answer", "reopen"] as const;

/** What is done on the page of a watched batch. */
export const watchForm = group({
  intent: choice(intents),
  id: id(),
  /** Samples that are put aside when watching begins. */
  samples: list(choice(storages), storages.length),
  storage: choice(storages, "room"),
  planned: idOrNone(),
  ph: text(20),
  thickness: text(20),
  by: choice(thicknessWays, "Pa·s"),
  word: choice(["", ...thicknessWords], ""),
  beadMm: text(20),
  beadDensity: text(20),
  jarMm: text(20),
  fallMm: text(20),
  photo: file(),
  /** Lightness, green to red and blue to yellow, as the page found them in the photo. */
  lab: text(60),
  /** % */
  haze: text(20),
  clarity: choice(["", ...clarityLooks], ""),
  colour: choice(["", ...colourChanges], ""),
  smell: choice(["", ...colourChanges], ""),
  sediment: text(20),
  /** °C */
  room: text(20),
  signs: list(choice(spoilSigns), spoilSigns.length),
  note: text(500),
  on: text(10),
  why: text(200),
  /** The alarm that is answered, or opened again. */
  alarm: choice(["", ...alarmKinds], ""),
});
export type TypedWatch = TypedOf<typeof watchForm>;

/** Which sample is looked at, and whether every look is told. */
export const watchQuestions = group({ sample: choice(["", ...storages], ""), looks: choice(["", "all"], "") });

const address = Joi.object<{ batch: string }>({ batch: id() });

/** @throws Refusal where no batch can lie at the address */
export function readWatched(params: object): string {
  return readAddress(address, params, () => new Refusal("not-found", "This batch is not here.", "Go to Watch and look for it there."))
    .batch;
}

const checkAddress = Joi.object<{ batch: string; check: string }>({ batch: id(), check: id() });

/** @throws Refusal where no check can lie at the address */
export function readCheck(params: object): string {
  return readAddress(checkAddress, params, () => new Refusal("not-found", "This photo is not here.", "Go back to the batch.")).check;
}
