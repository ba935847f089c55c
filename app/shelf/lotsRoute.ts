import { answer } from "../frame/answer.server";
import { standing } from "./stock.server";

/** What stands on the shelf, for the Sheet to count with. */
export const loader = answer(async () => Response.json(await standing(), { headers: { "Cache-Control": "private, no-store" } }));
