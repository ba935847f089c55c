import { findMaker } from "../../../db/makers/queries.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { csvAnswer, type CsvRow } from "../../frame/csvAnswer.server";
import { calendarAnswer } from "../../frame/calendar.server";
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
  const entries = [
    ...plans.map(({ id, plannedOn, name, number, grams, note }) => ({
      id,
      when: plannedOn,
      summary: `Make ${name} v${number}, ${round(grams)} g`,
      description: note,
    })),
    ...toBuy.map(({ slug, name, grams, neededOn }) => ({
      id: `buy-${slug}`,
      when: neededOn,
      summary: `Needed by now: ${name}, ${round(grams)} g`,
    })),
  ];
  return calendarAnswer({ file: "outlook.ics", name: "Batches and shopping", part: "outlook", entries });
}
