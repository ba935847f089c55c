import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/sideFileRoute";
import { sideCsv } from "./side.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => sideCsv(new URL(request.url).searchParams.getAll("of")));
