import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { readMaterialSlug } from "../forms.server";
import type { Route } from "./+types/offersRoute";
import { changeOffers, openOffers } from "./offers.server";
import { OffersPage } from "./OffersPage";
import { offerForm } from "./outlookForms.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openOffers(readMaterialSlug(params.material)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const slug = readMaterialSlug(params.material);
  return takeForm(offerForm, request, async (typed) => {
    const problems = await changeOffers(slug, typed);
    return problems.length > 0 ? problems : redirect(`/shelf/${slug}/prices`);
  });
});

export default function OffersRoute({ loaderData }: Route.ComponentProps) {
  return <OffersPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
