import { cardOf } from "@tensidrum/core/packaging";
import { database } from "../../../db/workplace.server";
import { currentMakerId } from "../../../db/workplace.server";
import type { SheetAddress } from "../openSheet.server";
import { versionFormula } from "./versionFormula.server";
import { writtenLongDay } from "../../frame/dates.server";

/** One version as a card to hand on. */
export async function openCard(address: SheetAddress) {
  const { number, isDraft, formula, materials } = await versionFormula(database(), currentMakerId(), address);
  const card = cardOf(formula, materials);
  const titles = new Map(formula.phases.map(({ id, title }) => [id, title ?? ""]));
  const phases = [...new Set(card.lines.map(({ phase }) => phase))];
  return {
    formulaId: address.formulaId,
    number,
    isDraft,
    writtenOn: writtenLongDay(),
    card,
    phases: phases.map((letter) => ({
      letter,
      title: titles.get(letter) ?? "",
      lines: card.lines.filter(({ phase }) => phase === letter),
    })),
  };
}

/** What the card shows. */
export type OpenCard = Awaited<ReturnType<typeof openCard>>;
