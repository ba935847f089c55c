import { redirect } from "react-router";
import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import { pairingDesk } from "../frame/requestContext.server";
import type { Route } from "./+types/devicesRoute";
import { readDeviceForm, revokeDevice } from "./devices.server";

export const loader = () => redirect("/settings#devices");

export const action = answer(async ({ request, context }: Route.ActionArgs) => {
  revokeDevice(context.get(pairingDesk), readDeviceForm(await formOf(request)));
  return redirect("/settings#devices");
});
