import { redirect } from "react-router";
import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import { newDraftNumber } from "../versions/newDraft.server";
import type { Route } from "./+types/newDraftRoute";

export const action = answer(async ({ params }: Route.ActionArgs) =>
  redirect(`/sheet/${(await newDraftNumber(readSheetAddress(params))).formulaId}`),
);
