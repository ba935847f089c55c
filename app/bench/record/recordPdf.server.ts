import { written } from "@tensidrum/core/quantities";
import { createRequire } from "node:module";
import pdfMake from "pdfmake";
import type { Content, TDocumentDefinitions } from "pdfmake/interfaces";
import { currentMakerId, database } from "../../../db/workplace.server";
import { findPhoto } from "../../../db/batches/queries.server";
import { yieldWords } from "./accountWords";
import { fileAnswer } from "../../frame/fileAnswer.server";
import { openRecord, type OpenRecord } from "./record.server";

const require = createRequire(import.meta.url);
const FONT = "Sofia Sans";
const PHOTO_POINTS = 240;

/** The record of a batch as a PDF to keep or to print. */
export async function recordPdf(batchId: string): Promise<Response> {
  const record = await openRecord(batchId);
  const photos = await Promise.all(
    record.photos.map(async ({ id, at, step }) => {
      const photo = await findPhoto(database(), currentMakerId(), { batchId, photoId: id });
      return { at, step, picture: photo?.picture };
    }),
  );
  takeFonts();
  const pdf = await pdfMake.createPdf(definitionOf(record, photos)).getBuffer();
  return fileAnswer(new Uint8Array(pdf), { type: "application/pdf", name: `${record.code}.pdf` });
}

let areFontsThere = false;

/** The letters of the application lie in the PDF, too; nothing else is read for it, from this machine or another. */
function takeFonts(): void {
  if (areFontsThere) return;
  const [normal, bold] = [400, 700].map((weight) => require.resolve(`@fontsource/sofia-sans/files/sofia-sans-latin-${weight}-normal.woff`));
  if (normal === undefined || bold === undefined) throw new Error("the fonts are not installed");
  pdfMake.addFonts({ [FONT]: { normal, bold, italics: normal, bolditalics: bold } });
  pdfMake.setUrlAccessPolicy(() => false);
  pdfMake.setLocalAccessPolicy((path) => path === normal || path === bold);
  areFontsThere = true;
}

type PhotoOfRecord = { readonly at: string; readonly step: string | null; readonly picture: Buffer | undefined };

/** What the PDF says: the same as the page of the record. */
export function definitionOf(record: OpenRecord, photos: readonly PhotoOfRecord[]): TDocumentDefinitions {
  const { code, name, lines, sums, steps, log, tares, decimals, finished, account } = record;
  const came = yieldWords(account);
  const content: Content[] = [
    { text: `Record of ${code}`, fontSize: 20, bold: true },
    { text: name, fontSize: 14, margin: [0, 2, 0, 2] },
    `${record.batch}, begun ${record.started}${endWords(finished)}`,
    ...(came === null ? [] : [came]),
    ...(record.readLast === "" ? [] : [record.readLast]),
    ...(record.cost === null ? [] : [record.cost]),
    ...(record.filled.length === 0 ? [] : [`${record.filled.join(". ")}.`]),
    ...(tares.length === 0 ? [] : [`Tare weights: ${tares.map(({ vessel, grams }) => `${vessel} ${written(grams, 1)} g`).join(", ")}.`]),
    table(
      ["line", "lots", "target, g", "weighed, g", "off, %"],
      [
        ...lines.map((line) => [
          line.isSimulated ? `${line.name} (simulated scale)` : line.name,
          line.lots.join(", "),
          written(line.targetGrams, line.decimals),
          line.actualGrams === null ? "" : written(line.actualGrams, line.decimals),
          line.percent === null ? "" : written(line.percent, 1),
        ]),
        ...record.besides.map(({ name: beside, grams, lot, isSimulated }) => [
          `${beside} (not in the formula${isSimulated ? ", simulated scale" : ""})`,
          lot?.code ?? "",
          "",
          written(grams, 2),
          "",
        ]),
        [
          "together",
          "",
          written(
            lines.reduce((total, { targetGrams }) => total + targetGrams, 0),
            decimals,
          ),
          written(account.inGrams, decimals),
          "",
        ],
      ],
      ["*", "auto", "auto", "auto", "auto"],
    ),
    heading("Sums"),
    table(
      ["sum", "as planned", "as weighed"],
      sums.map(({ what, unit, planned, made }) => [what, `${written(planned, 2)} ${unit}`, `${written(made, 2)} ${unit}`]),
      ["*", "auto", "auto"],
    ),
    ...(record.pairs.length === 0
      ? []
      : [
          heading("Before and after"),
          table(
            ["before", "then added", "after"],
            record.pairs.map(({ before, between, after }) => [before, between.join(", "), after ?? "not said"]),
            ["*", "*", "*"],
          ),
        ]),
    heading("Steps"),
    { ol: steps.map(({ title, state, reason }) => `${title}: ${state}${reason === null ? "" : `, reason: ${reason}`}`) },
    heading("What happened"),
    table(
      ["when", "what"],
      log.map(({ at, what, isBack }) => [at, isBack ? `${what} (taken back later)` : what]),
      ["auto", "*"],
    ),
  ];
  for (const { at, step, picture } of photos) {
    if (picture === undefined) continue;
    content.push({
      stack: [
        { image: `data:image/jpeg;base64,${picture.toString("base64")}`, fit: [PHOTO_POINTS * 2, PHOTO_POINTS] },
        `${at}${step === null ? "" : `, ${step}`}`,
      ],
      margin: [0, 12, 0, 0],
      unbreakable: true,
    });
  }
  return {
    info: { title: `Record of ${code}` },
    pageSize: "A4",
    pageMargins: [48, 48, 48, 54],
    defaultStyle: { font: FONT, fontSize: 9.5, lineHeight: 1.15 },
    footer: (page, pages) => ({ text: `${code}, page ${page} of ${pages}`, margin: [48, 16], fontSize: 8 }),
    // A heading does not stand alone at the foot of a page.
    pageBreakBefore: (node, nodes) => node.headlineLevel === 1 && nodes.getFollowingNodesOnPage().length === 0,
    content,
  };
}

function heading(text: string): Content {
  return { text, headlineLevel: 1, fontSize: 12, bold: true, margin: [0, 12, 0, 4] };
}

function table(head: readonly string[], rows: readonly (readonly string[])[], widths: readonly string[]): Content {
  const bold = head.map((text) => ({ text, bold: true }));
  return {
    layout: "lightHorizontalLines",
    margin: [0, 8, 0, 0],
    table: { headerRows: 1, widths: [...widths], body: [bold, ...rows.map((row) => [...row])] },
  };
}

function endWords(finished: OpenRecord["finished"]): string {
  if (finished === null) return ", not finished";
  if (finished.isDiscarded) return `, discarded ${finished.at} before anything was weighed`;
  return `, finished ${finished.at}`;
}
