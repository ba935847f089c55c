import { answer } from "../frame/answer.server";
import { checksCalendar } from "./checksCalendar.server";

/** The planned checks as a calendar. */
export const loader = answer(async () => checksCalendar());
