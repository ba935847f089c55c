import { Refusal } from "@tensidrum/core/quantities";
import { answer } from "../../frame/answer.server";
import { group, slug } from "../../frame/fields.server";
import { readAddress } from "../../frame/readForm.server";
import type { Route } from "./+types/memoryRoute";
import { rememberedOf } from "./memory.server";

const nothing = () => new Refusal("not-found", "No material stands at this address.", "Go to the shelf and look for it there.");

/** What earlier batches tell of a material, for the line that is looked at on the Sheet. */
export const loader = answer(async ({ params }: Route.LoaderArgs) =>
  Response.json(await rememberedOf(readAddress(group({ material: slug() }), { ...params }, nothing).material), {
    headers: { "Cache-Control": "private, no-store" },
  }),
);
