import { data, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formAnswer } from "../../frame/formAnswer";
import { formOf, readForm } from "../../frame/readForm.server";
import { readBatchId, readVersionAddress } from "../forms.server";
import type { Route } from "./+types/saltSamplesRoute";
import { sampleForm } from "./sampleForm.server";
import { changeSaltSamples, openSaltSamples, type SaltSamplesOf } from "./saltSamples.server";
import { SaltSamplesPage } from "./SaltSamplesPage";

/** Samples are reached from a version and from a batch. */
function addressOf(params: {
  readonly batch?: string | undefined;
  readonly formulaId?: string | undefined;
  readonly number?: string | undefined;
}): SaltSamplesOf {
  return params.batch === undefined ? readVersionAddress(params) : { batch: readBatchId(params.batch) };
}

export const loader = answer(async ({ params }: Route.LoaderArgs) => openSaltSamples(addressOf(params)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const { typed, problems: misread } = readForm(sampleForm, await formOf(request));
  const { problems, gone } = misread.length > 0 ? { problems: misread, gone: null } : await changeSaltSamples(addressOf(params), typed);
  return data({ gone, ...formAnswer(typed, problems) }, { status: problems.length === 0 ? 200 : 422 });
});

export default function SaltSamplesRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <SaltSamplesPage base={loaderData} answered={answered ?? null} />;
}
