import { answer } from "../answer.server";
import { readQuestions } from "../readForm.server";
import type { Route } from "./+types/searchRoute";
import { search } from "./search.server";
import { searchQuestions } from "./searchForms.server";
import { SearchPage } from "./SearchPage";

export const loader = answer(async ({ request }: Route.LoaderArgs) => search(readQuestions(searchQuestions, request).q));

export default function SearchRoute({ loaderData }: Route.ComponentProps) {
  return <SearchPage answer={loaderData} />;
}
