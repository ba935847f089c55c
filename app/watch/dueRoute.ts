import { answer } from "../frame/answer.server";
import { dueNow } from "./watch.server";

export const loader = answer(async () => Response.json(await dueNow()));
