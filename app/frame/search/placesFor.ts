import MiniSearch from "minisearch";
import { places, type Place } from "./places";

const index = new MiniSearch<Place & { id: number }>({
  fields: ["words", "also"],
  searchOptions: { prefix: true, fuzzy: 0.25, combineWith: "AND", boost: { words: 2 } },
});
index.addAll(places.map((place, id) => ({ ...place, id })));

const MOST = 6;

/** The pages that people call so, best first. */
export function placesFor(text: string): readonly Place[] {
  if (text.trim() === "") return [];
  return index
    .search(text)
    .slice(0, MOST)
    .flatMap(({ id }) => places[id as number] ?? []);
}
