import { currentMakerId, database } from "../../db/workplace.server";
import { listMaterials, materialsStamp } from "../../db/materials/queries.server";
import { answer } from "../frame/answer.server";
import type { Route } from "./+types/materialsRoute";

/** Every material the maker can pick, for the search in the browser; unchanged ones are not sent twice. */
export const loader = answer(async ({ request }: Route.LoaderArgs) => {
  const tag = `"${await materialsStamp(database(), currentMakerId())}"`;
  const headers = { ETag: tag, "Cache-Control": "private, no-cache" };
  if (request.headers.get("if-none-match")?.replace(/^W\//, "") === tag) return new Response(null, { status: 304, headers });
  return Response.json(await listMaterials(database(), currentMakerId()), { headers });
});
