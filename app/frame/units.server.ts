import { currentMakerId, database } from "../../db/workplace.server";
import { isDatabaseAway } from "../../db/failures.server";
import { findMaker, type MakerUnits } from "../../db/makers/queries.server";
import { usualUnits } from "./units";

/** Units the maker works in. While the database is unavailable the usual units stand, so that a page can say so. */
export async function openUnits(): Promise<MakerUnits> {
  try {
    const maker = await findMaker(database(), currentMakerId());
    return maker === undefined ? usualUnits : { currency: maker.currency, massUnit: maker.massUnit };
  } catch (error) {
    if (isDatabaseAway(error)) return usualUnits;
    throw error;
  }
}
