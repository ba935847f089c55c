import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/exportRoute";
import { movementsCsv } from "./movementsCsv.server";
import { shelfFile } from "./exportShelf.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => {
  const { pathname } = new URL(request.url);
  if (pathname.endsWith("movements.csv")) return movementsCsv();
  if (pathname.endsWith(".json")) return shelfFile("materials.json");
  return shelfFile(pathname.endsWith("materials.csv") ? "materials.csv" : "lots.csv");
});
