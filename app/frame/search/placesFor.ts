import MiniSearch from "minisearch";
import { helpTopics } from "../help/pages";
import { places, type Place } from "./places";

const all: readonly Place[] = [
  ...places,
  { to: "/help", words: "Help", also: "how to guide manual explain question" },
  ...helpTopics.map(({ slug, title, also }) => ({ to: `/help/${slug}`, words: `Help: ${title}`, also })),
];

const index = new MiniSearch<Place & { id: number }>({
  fields: ["words", "also"],
  searchOptions: { prefix: true, fuzzy: 0.25, combineWith: "AND", boost: { words: 2 } },
});
index.addAll(all.map((place, id) => ({ ...place, id })));

const MOST = 6;

/** The pages that people call so, best first. */
export function placesFor(text: string): readonly Place[] {
  if (text.trim() === "") return [];
  return index
    .search(text)
    .slice(0, MOST)
    .flatMap(({ id }) => all[id as number] ?? []);
}
