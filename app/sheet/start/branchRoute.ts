import { redirect } from "react-router";
import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import { branchNumber } from "../versions/branch.server";
import type { Route } from "./+types/branchRoute";

export const action = answer(async ({ params }: Route.ActionArgs) =>
  redirect(`/sheet/${(await branchNumber(readSheetAddress(params))).formulaId}`),
);
