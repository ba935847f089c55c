import { isRouteErrorResponse, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { formOf, readQuestions } from "../frame/readForm.server";
import { ProblemPage } from "../frame/ProblemPage";
import type { Route } from "./+types/sheetRoute";
import { findQuestions, readSheetAddress } from "./forms.server";
import { KeptForm } from "./saving/KeptForm";
import { openSheet } from "./openSheet.server";
import { Sheet } from "./Sheet";
import { answerSheetForm } from "./sheetAction.server";
import type { SheetAnswer } from "./sheetAnswer";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openSheet(readSheetAddress(params), readQuestions(findQuestions, request).find),
);

export const action = answer(async ({ params, request }: Route.ActionArgs) =>
  answerSheetForm(readSheetAddress(params).formulaId, await formOf(request)),
);

/** In the browser a failed save must never take the page away: it becomes an answer the page can show. */
export async function clientAction({ serverAction }: Route.ClientActionArgs): Promise<SheetAnswer> {
  try {
    return (await serverAction()) as SheetAnswer;
  } catch (error) {
    if (error instanceof Response) throw error;
    if (!isRouteErrorResponse(error)) return { kind: "away" };
    if (error.status === 503) return { kind: "away" };
    const told = error.data as { message?: string; remedy?: string } | null;
    return {
      kind: "refused",
      message: told?.message ?? "This could not be saved.",
      remedy: told?.remedy ?? "Load the page again and repeat the change.",
    };
  }
}

export default function SheetRoute({ loaderData }: Route.ComponentProps) {
  return <Sheet key={`${loaderData.versionId} ${loaderData.state}`} sheet={loaderData} />;
}

export function ErrorBoundary({ error, params }: Route.ErrorBoundaryProps) {
  const sent = useActionData<SheetAnswer>();
  return (
    <ProblemPage error={error}>
      {sent?.kind === "away" && sent.typed !== undefined && <KeptForm formulaId={params.formulaId} sent={sent} />}
    </ProblemPage>
  );
}
