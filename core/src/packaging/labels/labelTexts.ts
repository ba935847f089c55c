import { aimedProfile } from "../../formula/aim.ts";
import { resolveLines } from "../../formula/resolveLines.ts";
import type { Formula, OpenPart } from "../../formula/types.ts";
import type { MaterialsBySlug } from "../../library/material.ts";
import { marketOf } from "../../library/markets.ts";
import { writtenShort } from "../../quantities/written.ts";
import { batchKind } from "../../process/batchKind.ts";
import type { Profile } from "../../formula/profiles.ts";
import { labelOf } from "../label.ts";
import { netVolumeText, netWeightText } from "../labelDetails.ts";
import { benchCautions, labelCautions } from "../warnings.ts";
import type { LabelDesign, LabelTexts } from "./labelDesign.ts";

export interface LabelledBatch {
  /** As it was made: the whole batch where one label serves all parts, else that of the part. */
  readonly formula: Formula;
  /** What others may add to it; null where it is finished. */
  readonly openPart: OpenPart | null;
  readonly library: MaterialsBySlug;
  readonly code: string;
  /** In one container, g. */
  readonly netGrams: number;
  /** Null where it is not known: then the net content is told as mass. */
  readonly densityGramsPerMl: number | null;
  /** As it is to be written. */
  readonly bestBefore: string;
}

/** What each field of a label says of a batch. Where it is made and whom to ask is for the maker to write. */
export function labelTexts(
  { formula, openPart, library, code, netGrams, densityGramsPerMl, bestBefore }: LabelledBatch,
  { naming, market, netIn, openMonths }: Pick<LabelDesign, "naming" | "market" | "netIn" | "openMonths">,
): LabelTexts {
  const profile = aimedProfile(formula);
  const { sheet } = resolveLines(formula, library);
  const isStock = batchKind(sheet, sheet.lines) === "stock";
  const { ingredients, mayContain } = labelOf(formula, naming, library, marketOf(market));
  const names = ingredients.filter(({ name }) => !mayContain.includes(name)).map(({ name }) => name);
  const may = mayContain.length === 0 ? "" : ` May contain: ${mayContain.join(", ")}.`;
  return {
    name: formula.name,
    what: isStock ? "stock solution" : profile.name,
    directions: isStock ? "For the bench, not for the skin." : directionsOf(profile, openPart),
    ingredients: `Ingredients: ${names.join(", ")}.${may}`,
    cautions: (isStock ? benchCautions(sheet) : labelCautions(sheet, profile)).join(" "),
    net: netIn === "volume" && densityGramsPerMl !== null ? netVolumeText(netGrams / densityGramsPerMl) : netWeightText(netGrams),
    batch: `Batch ${code}`,
    "best-before": `Best before ${bestBefore}`,
    "after-opening": afterOpeningText(openMonths),
    "made-in": "",
    contact: "",
  };
}

function directionsOf({ leftOn }: Profile, openPart: OpenPart | null): string {
  if (openPart !== null) return finishText(openPart);
  return leftOn === true ? "Spread a little on the skin." : "Lather with water, then rinse off well.";
}

/** How others finish what is left open: up to 9 % are 9 g to every 91 g. Water would thin what keeps it. */
function finishText({ addUpToPercent, what = "" }: OpenPart): string {
  const may = what.trim() === "" ? "" : ` May be added: ${what.trim().replace(/\.$/, "")}.`;
  return (
    `To finish: stir up to ${writtenShort(addUpToPercent, 1)} g into every ${writtenShort(100 - addUpToPercent, 1)} g.${may} ` +
    "No water and nothing that holds it: it is preserved as it stands. Keep what you finished no longer than this label says."
  );
}

/** How long it keeps once it is open; nothing where nobody says. */
export function afterOpeningText(openMonths: number | null): string {
  if (openMonths === null) return "";
  return `Once open, use within ${openMonths === 1 ? "a month" : `${openMonths} months`}.`;
}
