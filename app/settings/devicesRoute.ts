import { redirect } from "react-router";
import { answer } from "../frame/answer.server";
import { takeForm } from "../frame/readForm.server";
import { pairingDesk } from "../frame/requestContext.server";
import type { Route } from "./+types/devicesRoute";
import { deviceForm, revokeDevice } from "./devices.server";

export const loader = () => redirect("/settings#devices");

export const action = answer(async ({ request, context }: Route.ActionArgs) => {
  return takeForm(deviceForm, request, (typed) => {
    revokeDevice(context.get(pairingDesk), typed.device);
    return Promise.resolve(redirect("/settings#devices"));
  });
});
