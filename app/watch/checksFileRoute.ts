import { answer } from "../frame/answer.server";
import type { Route } from "./+types/checksFileRoute";
import { checksCsv } from "./checksCsv.server";
import { readWatched } from "./watchForms.server";

/** The looks at a batch's samples as a table. */
export const loader = answer(async ({ params }: Route.LoaderArgs) => checksCsv(readWatched(params)));
