import { answer } from "../frame/answer.server";
import type { Route } from "./+types/shelfRoute";
import { readQuestions } from "../frame/readForm.server";
import { shelfQuestions } from "./forms.server";
import { Shelf } from "./Shelf";
import { openShelf } from "./shelf.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openShelf(readQuestions(shelfQuestions, request)));

export default function ShelfRoute({ loaderData }: Route.ComponentProps) {
  return <Shelf shelf={loaderData} />;
}
