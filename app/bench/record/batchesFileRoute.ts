import { answer } from "../../frame/answer.server";
import { batchesCsv } from "./batchesCsv.server";

export const loader = answer(async () => batchesCsv());
