import { Refusal } from "@tensidrum/core/quantities";
import { makerOfSession } from "../../db/makers/queries.server";
import type { AppState, Workplace } from "../../db/workplace.server";
import { answer } from "./answer.server";

/** What a request works with: the database, and the maker whose session it belongs to. */
export const workplaceOf = answer(async ({ state, place }: { readonly state: AppState; readonly place: string }): Promise<Workplace> => {
  const known = state.makerOf.get(place) ?? (await makerOfSession(state.db, place));
  if (known === undefined) throw new Refusal("not-found", "Nobody works at this machine yet.", "Start Tensidrum again with bin/start.");
  state.makerOf.set(place, known);
  return { ...state, makerId: known };
});
