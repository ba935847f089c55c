import { redirect, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { formOf, takeForm } from "../frame/readForm.server";
import { pairingDesk } from "../frame/requestContext.server";
import type { Route } from "./+types/settingsRoute";
import { openDevices } from "./devices.server";
import { openSettings, saveSettings } from "./settings.server";
import { settingsFormOf } from "./settingsForm.server";
import { SettingsPage } from "./SettingsPage";

export const loader = answer(async ({ context }: Route.LoaderArgs) => ({
  ...(await openSettings()),
  devices: openDevices(context.get(pairingDesk)),
}));

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const form = await formOf(request);
  return takeForm(settingsFormOf(form), form, async (typed) => {
    const problems = await saveSettings(typed);
    return problems.length > 0 ? problems : redirect(`/settings#${typed.intent}`);
  });
});

export default function SettingsRoute({ loaderData }: Route.ComponentProps) {
  return <SettingsPage settings={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
