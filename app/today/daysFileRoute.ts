import { answer } from "../frame/answer.server";
import type { Route } from "./+types/daysFileRoute";
import { daysCalendar, feedCalendar } from "./days.server";

/** The coming days as a calendar file, or as the address a calendar asks again and again. */
export const loader = answer(async ({ params }: Route.LoaderArgs) => {
  const { token } = params as { readonly token?: string };
  return token === undefined ? daysCalendar() : feedCalendar(token.replace(/\.ics$/, ""));
});
