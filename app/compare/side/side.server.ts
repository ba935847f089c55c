import { Refusal } from "@tensidrum/core/quantities";
import { csvAnswer, type CsvRow } from "../../frame/csvAnswer.server";
import { keyOf, nameIn, subjectsOf } from "../subjects.server";
import { sideView, type SideRow } from "./sideView";

const MOST = 6;

/** What is asked for beside each other, at most six. */
async function viewOf(addresses: readonly string[]) {
  if (addresses.length === 0) throw new Refusal("not-found", "Nothing was chosen to compare.", "Tick two of them on Compare.");
  if (addresses.length > MOST) throw new Refusal("not-possible", `At most ${MOST} stand beside each other.`, "Take some away.");
  const subjects = await subjectsOf([...new Set(addresses)].map(keyOf));
  const view = sideView(
    subjects.map((subject) => ({ ...subject, isProduct: subject.key.kind === "product", isPlan: subject.key.kind === "plan" })),
    (slug) => nameIn(subjects, slug),
  );
  return { subjects, view };
}

export async function openSide(addresses: readonly string[]) {
  const { subjects, view } = await viewOf(addresses);
  const formulas = [...new Set(subjects.flatMap(({ formulaId }) => formulaId ?? []))];
  return {
    ...view,
    query: new URLSearchParams(subjects.map(({ address }) => ["of", address])).toString(),
    /** The one formula all rounds are of; null where there are several. */
    formulaId: formulas.length === 1 ? (formulas[0] ?? null) : null,
    name: subjects.find(({ formula }) => formula !== null)?.formula?.name ?? "",
  };
}

export type OpenSide = Awaited<ReturnType<typeof openSide>>;

/** The same as a table for a spreadsheet. */
export async function sideCsv(addresses: readonly string[]): Promise<Response> {
  const { view } = await viewOf(addresses);
  const heads = ["what", "unit", ...view.heads.map(({ title, when }) => (when === "" ? title : `${title}, ${when}`))];
  const rowOf =
    (unit: string) =>
    (row: SideRow): CsvRow =>
      Object.fromEntries(
        [row.name, row.unit === "" ? unit : row.unit, ...row.values.map((value) => value ?? "")].map((cell, at) => [heads[at] ?? "", cell]),
      );
  const rows = [...view.lines.map(rowOf("% w/w")), ...[...view.fromLines, ...view.measured, ...view.costs].map(rowOf(""))];
  return csvAnswer("side-by-side.csv", heads, [rows]);
}
