import { fillMassGrams } from "@tensidrum/core/packaging";
import { isBlank, MOST_PRICE, readNumber, textProblem } from "@tensidrum/core/quantities";
import { deleteContainer, listContainers, saveContainer, type OwnContainer } from "../../../db/containers/queries.server";
import { brokenConstraint } from "../../../db/failures.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import type { FieldProblem } from "../../frame/formAnswer";
import type { TypedContainer } from "./containerForm.server";

const NAME_LENGTH = 60;

/** All containers, and the form of the one that is to be changed or of a new one. */
export async function openContainers(change: string) {
  const own = await listContainers(database(), currentMakerId());
  const changed = own.find(({ id }) => id === change);
  return {
    containers: own.map((container) => ({ ...container, takesMl: fillMassGrams(container, 1) })),
    isNew: changed === undefined,
    typed: changed === undefined ? nothingTyped() : typedContainer(changed),
  };
}

export type OpenContainers = Awaited<ReturnType<typeof openContainers>>;

function nothingTyped(): TypedContainer {
  const empty = { name: "", nominal: "", brimful: "", headspace: "", dipTube: "", tare: "", labelWidth: "", labelHeight: "" };
  return { intent: "save", id: crypto.randomUUID(), type: "bottle", pieces: "", price: "", note: "", ...empty };
}

const said = (value: number | null): string => (value === null ? "" : String(value));

function typedContainer({ id, name, type, note, ...own }: OwnContainer): TypedContainer {
  return {
    ...{ intent: "save", id, name, type, note },
    nominal: String(own.nominalMl),
    brimful: String(own.brimfulMl),
    headspace: String(own.headspaceMl),
    dipTube: String(own.dipTubeMl),
    tare: said(own.tareGrams),
    labelWidth: said(own.labelWidthMm),
    labelHeight: said(own.labelHeightMm),
    pieces: said(own.pieces),
    price: said(own.priceEach),
  };
}

/** Saves or deletes one kind of container, or says at which field it must be fixed. */
export async function changeContainer(typed: TypedContainer): Promise<readonly FieldProblem[]> {
  if (typed.intent === "delete") {
    await deleteContainer(database(), currentMakerId(), typed.id);
    return [];
  }
  const { container, problems } = readContainer(typed);
  if (problems.length > 0) return problems;
  try {
    await saveContainer(database(), currentMakerId(), container);
  } catch (error) {
    if (brokenConstraint(error) === "taken") return [{ field: "name", message: "Another container has this name." }];
    throw error;
  }
  return [];
}

/** A container from its cells; who has not measured the brim counts with what it is sold as. */
export function readContainer(typed: TypedContainer): { readonly container: OwnContainer; readonly problems: readonly FieldProblem[] } {
  const problems: FieldProblem[] = [];
  const say = (field: string, message: string): void => void problems.push({ field, message });
  const number = (field: NumberCell, { least, most, message }: Within): number | null => {
    const text = typed[field];
    if (text === "") return null;
    const read = readNumber(text.replace(/\s*(?:g|mL|mm|pieces?)\s*$/i, ""));
    if (read.ok && read.value >= least && read.value <= most) return read.value;
    say(field, message);
    return null;
  };
  const { name, note } = typed;
  if (isBlank(name)) say("name", "Give the container a name.");
  if (name.length > NAME_LENGTH) say("name", `At most ${NAME_LENGTH} characters.`);
  for (const [field, text] of Object.entries({ name, note })) {
    const problem = textProblem(text);
    if (problem !== null) say(field, problem);
  }
  const soldAs = number("nominal", { least: 0.1, most: 100_000, message: "Give what it is sold as, in mL: 250." });
  if (typed.nominal === "") say("nominal", "Give what it is sold as, in mL: 250.");
  const brimfulMl = number("brimful", { least: 0.1, most: 100_000, message: "Fill it to the brim with water and give the mL." });
  const nominalMl = soldAs ?? 0;
  const brim = brimfulMl ?? nominalMl;
  if (brim < nominalMl) say("brimful", "The brim holds at least what it is sold as.");
  const headspaceMl = number("headspace", { least: 0, most: 100_000, message: "Give mL, or leave it empty." }) ?? 0;
  const dipTubeMl = number("dipTube", { least: 0, most: 100_000, message: "Give mL, or leave it empty." }) ?? 0;
  if (brim > 0 && headspaceMl + dipTubeMl >= brim) say("headspace", "Nothing would be left to fill.");
  const tareGrams = number("tare", {
    least: 0.01,
    most: 100_000,
    message: "Weigh an empty one with its closure, in g, or leave it empty.",
  });
  const side = (field: "labelWidth" | "labelHeight"): number | null =>
    number(field, { least: 5, most: 1_000, message: "A label is from 5 to 1,000 mm, or leave both sides empty." });
  const [labelWidthMm, labelHeightMm] = [side("labelWidth"), side("labelHeight")];
  if ((typed.labelWidth === "") !== (typed.labelHeight === "")) say("labelHeight", "Give both sides of the label, or neither.");
  const pieces = number("pieces", { least: 0, most: 100_000, message: "Count whole pieces, or leave it empty." });
  if (pieces !== null && !Number.isInteger(pieces)) say("pieces", "Count whole pieces, or leave it empty.");
  const priceEach = number("price", { least: 0, most: MOST_PRICE, message: "Give a price, or leave it empty." });
  const volumes = { nominalMl, brimfulMl: brim, headspaceMl, dipTubeMl };
  const { id, type } = typed;
  return { container: { ...{ id, name, type, note }, ...volumes, tareGrams, labelWidthMm, labelHeightMm, pieces, priceEach }, problems };
}

type NumberCell = "nominal" | "brimful" | "headspace" | "dipTube" | "tare" | "labelWidth" | "labelHeight" | "pieces" | "price";

interface Within {
  readonly least: number;
  readonly most: number;
  readonly message: string;
}
