import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/backupsRoute";
import { backupForm, backupQuestions } from "./backupForms.server";
import { compareKept, makeBackup, openBackups, restoreKept } from "./backups.server";
import { BackupsPage } from "./BackupsPage";

export const loader = answer(async ({ request }: Route.LoaderArgs) => ({
  ...(await openBackups()),
  ...readQuestions(backupQuestions, request),
}));

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(backupForm, request, async (typed) => {
    if (typed.intent === "make") return redirect(`/settings/backups?made=${await makeBackup(typed.job)}`);
    if (typed.intent === "compare") return { compared: await compareKept(typed.name, typed.job) };
    await restoreKept(typed);
    return redirect(`/settings/backups?restored=${typed.name}`);
  }),
);

export default function BackupsRoute({ loaderData }: Route.ComponentProps) {
  return <BackupsPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
