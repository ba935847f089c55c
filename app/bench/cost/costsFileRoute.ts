import { answer } from "../../frame/answer.server";
import { costsCsv } from "./costsCsv.server";

export const loader = answer(async () => costsCsv());
