import { answer } from "../../frame/answer.server";
import { lotsCsv } from "./importLots.server";

export const loader = answer(
  async () =>
    new Response(await lotsCsv(), {
      headers: {
        "Content-Type": "text/csv; charset=utf-8",
        "Content-Disposition": 'attachment; filename="lots.csv"',
        "Cache-Control": "private, no-store",
      },
    }),
);
