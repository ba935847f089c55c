import ical from "ical-generator";
import { findMaker } from "../../../db/makers/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { csvAnswer, type CsvRow } from "../../frame/csvAnswer.server";
import { fileAnswer } from "../../frame/fileAnswer.server";
import { openToBuy, type OpenOutlook } from "./outlook.server";

type ToBuy = OpenOutlook["toBuy"][number];

/** What to buy, by who sells it; what nobody is known to sell stands last. */
export async function openShopping() {
  const { toBuy, today } = await openToBuy();
  const suppliers = [...new Set(toBuy.map(({ order }) => order?.supplier ?? ""))].sort((a, b) =>
    a === "" ? 1 : b === "" ? -1 : a.localeCompare(b),
  );
  return {
    today,
    groups: suppliers.map((supplier) => {
      const rows = toBuy.filter(({ order }) => (order?.supplier ?? "") === supplier);
      return {
        supplier,
        rows,
        price: rows.reduce((sum, { order }) => sum + (order?.price ?? 0), 0),
        unpriced: rows.filter(({ order }) => order?.price == null).length,
      };
    }),
  };
}

export type OpenShopping = Awaited<ReturnType<typeof openShopping>>;

const HEADS = ["material", "lacking, g", "needed on", "supplier", "packs", "pack, g"] as const;

function row({ name, grams, neededOn, order }: ToBuy, [each, all]: readonly [string, string]): CsvRow {
  return {
    material: name,
    "lacking, g": round(grams),
    "needed on": neededOn,
    supplier: order?.supplier ?? "",
    packs: order?.packs ?? "",
    "pack, g": order?.packGrams ?? "",
    [each]: order?.packPrice ?? "",
    [all]: order?.price ?? "",
  };
}

const round = (grams: number): number => Math.ceil(grams * 10) / 10;

/** The list as a table for a spreadsheet. */
export async function shoppingCsv(): Promise<Response> {
  const [{ toBuy }, maker] = await Promise.all([openToBuy(), findMaker(database(), currentMakerId())]);
  const unit = maker === undefined || maker.currency === "" ? "" : `, ${maker.currency}`;
  const prices = [`price of a pack${unit}`, `price of all${unit}`] as const;
  return csvAnswer("shopping.csv", [...HEADS, ...prices], [toBuy.map((one) => row(one, prices))]);
}

/** Planned batches and what to buy for them, as whole days of a calendar. */
export async function outlookCalendar(): Promise<Response> {
  const { plans, toBuy } = await openToBuy();
  const calendar = ical({ name: "Batches and shopping", prodId: { company: "tensidrum", product: "outlook", language: "EN" } });
  for (const { id, plannedOn, name, number, grams, note } of plans) {
    calendar.createEvent({
      id,
      allDay: true,
      start: dayOf(plannedOn),
      summary: `Make ${name} v${number}, ${round(grams)} g`,
      description: note,
    });
  }
  for (const { slug, name, grams, neededOn } of toBuy) {
    calendar.createEvent({ id: `buy-${slug}`, allDay: true, start: dayOf(neededOn), summary: `Needed by now: ${name}, ${round(grams)} g` });
  }
  return fileAnswer(calendar.toString(), { type: "text/calendar; charset=utf-8", name: "outlook.ics" });
}

/** A calendar day is that day wherever it is read. */
const dayOf = (day: string): Date => new Date(`${day}T00:00:00`);
