import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import type { Route } from "./+types/exportRoute";
import { exportFile } from "./exportFiles.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) =>
  exportFile(readSheetAddress({ formulaId: params.formulaId, number: params.number }), params.file),
);
