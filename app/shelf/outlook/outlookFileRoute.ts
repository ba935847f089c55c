import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/outlookFileRoute";
import { outlookCalendar, shoppingCsv } from "./shopping.server";

/** The outlook as a file: by the end of its address. */
export const loader = answer(async ({ request }: Route.LoaderArgs) =>
  new URL(request.url).pathname.endsWith(".ics") ? outlookCalendar() : shoppingCsv(),
);
