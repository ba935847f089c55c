import { data, redirect, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import { pairingDesk } from "../frame/requestContext.server";
import type { Route } from "./+types/settingsRoute";
import { openDevices } from "./devices.server";
import { openSettings, saveSettings } from "./settings.server";
import { readSettingsForm } from "./settingsForm.server";
import { SettingsPage } from "./SettingsPage";

export const loader = answer(async ({ context }: Route.LoaderArgs) => ({
  ...(await openSettings()),
  devices: openDevices(context.get(pairingDesk)),
}));

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const form = readSettingsForm(await formOf(request));
  const problem = await saveSettings(form);
  return problem === null ? redirect(`/settings#${form.intent}`) : data(problem, { status: 422 });
});

export default function SettingsRoute({ loaderData }: Route.ComponentProps) {
  return <SettingsPage settings={loaderData} problem={useActionData<typeof action>()} />;
}
