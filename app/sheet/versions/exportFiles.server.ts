import { assess } from "@tensidrum/core/assessment";
import { formulaForExport, wholeLines } from "@tensidrum/core/formula";
import { Refusal } from "@tensidrum/core/quantities";
import { shownInci, shownMaterial } from "@tensidrum/core/library";
import { cardMarkdown, cardOf } from "@tensidrum/core/packaging";
import { toDecimals } from "@tensidrum/core/quantities";
import { referenceLibrary } from "@tensidrum/core/reference";
import Papa from "papaparse";
import { database } from "../../../db/workplace.server";
import { currentMakerId } from "../../../db/workplace.server";
import type { SheetAddress } from "../openSheet.server";
import { versionFormula, type VersionFormula } from "./versionFormula.server";

interface ExportFile {
  readonly type: string;
  readonly ending: string;
  write(version: VersionFormula): string;
}

const reference = new Map(referenceLibrary.map((material) => [material.slug, material]));

const FILES: ReadonlyMap<string, ExportFile> = new Map(
  Object.entries<ExportFile>({
    "formula.json": {
      type: "application/json",
      ending: "json",
      write: ({ formula, materials }) => `${JSON.stringify(formulaForExport(formula, materials, reference), null, 2)}\n`,
    },
    "lines.csv": { type: "text/csv", ending: "csv", write: linesCsv },
    "card.md": { type: "text/markdown", ending: "md", write: ({ formula, materials }) => cardMarkdown(cardOf(formula, materials)) },
  }),
);

/** One version as a file. A name from the page is never taken as a path. */
export async function exportFile(address: SheetAddress, file: string): Promise<Response> {
  const wanted = FILES.get(file);
  if (wanted === undefined) throw new Refusal("not-found", "There is no such file.", "Choose one of the files on the Sheet.");
  const version = await versionFormula(database(), currentMakerId(), address);
  const name = `${fileName(version.formula.name)}-v${version.number}.${wanted.ending}`;
  return new Response(wanted.write(version), {
    headers: {
      "Content-Type": `${wanted.type}; charset=utf-8`,
      "Content-Disposition": `attachment; filename="${name}"`,
      "Cache-Control": "private, no-store",
    },
  });
}

/** Letters and digits of a name, for a file. */
function fileName(name: string): string {
  const plain = name
    .normalize("NFD")
    .replace(/[^A-Za-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .toLowerCase();
  return plain === "" ? "formula" : plain.slice(0, 60);
}

/** More digits than any scale shows, and they hide the noise of the sums. */
const KEPT_DECIMALS = 6;

/** The lines as a table; cells that begin like a formula of a spreadsheet stay text. */
function linesCsv({ formula, materials }: VersionFormula): string {
  const { lines } = assess(formula, materials);
  const weighed = new Map(lines.map((line) => [line.id, line]));
  const rows = wholeLines(formula).map((line) => {
    const material = materials.get(line.material);
    const own = weighed.get(line.id);
    return {
      phase: line.phase,
      material: material === undefined ? line.material : shownMaterial(material).name,
      inci: material === undefined ? "" : shownInci(material),
      role: material?.role ?? "",
      percent: own === undefined ? "" : toDecimals(own.percent, KEPT_DECIMALS),
      rest: line.qs === true ? "q.s." : "",
      grams: own?.gramsToWeigh ?? "",
      activePercent: own === undefined ? "" : toDecimals(own.activePercent, KEPT_DECIMALS),
      slug: line.material,
    };
  });
  return Papa.unparse(rows, { escapeFormulae: true, newline: "\r\n" });
}
