import { answer } from "../frame/answer.server";
import type { Route } from "./+types/shelfRoute";
import { readShelfFilter } from "./forms.server";
import { Shelf } from "./Shelf";
import { openShelf } from "./shelf.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openShelf(readShelfFilter(new URL(request.url))));

export default function ShelfRoute({ loaderData }: Route.ComponentProps) {
  return <Shelf shelf={loaderData} />;
}
