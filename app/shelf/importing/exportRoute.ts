import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/exportRoute";
import { shelfFile } from "./exportShelf.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => {
  const { pathname } = new URL(request.url);
  if (pathname.endsWith(".json")) return shelfFile("materials.json");
  return shelfFile(pathname.endsWith("materials.csv") ? "materials.csv" : "lots.csv");
});
