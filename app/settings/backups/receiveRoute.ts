import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/receiveRoute";
import { takeSent } from "./backups.server";

/** Takes a backup as it is sent, however large, and answers its name. */
export const action = answer(async ({ request }: Route.ActionArgs) => Response.json({ name: await takeSent(request) }));
