import { answer } from "../answer.server";
import { readQuestions } from "../readForm.server";
import type { Route } from "./+types/searchFileRoute";
import { search } from "./search.server";
import { searchQuestions } from "./searchForms.server";

/** What the field for search and commands finds while one types. */
export const loader = answer(async ({ request }: Route.LoaderArgs) =>
  Response.json(await search(readQuestions(searchQuestions, request).q)),
);
