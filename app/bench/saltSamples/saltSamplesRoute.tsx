import { data, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import { readBatchId, readVersionAddress } from "../forms.server";
import type { Route } from "./+types/saltSamplesRoute";
import { readSaltSampleForm } from "./sampleForm.server";
import { changeSaltSamples, openSaltSamples, type SaltSamplesOf } from "./saltSamples.server";
import { SaltSamplesPage } from "./SaltSamplesPage";

/** Jars are reached from a version and from a batch. */
function addressOf(params: {
  readonly batch?: string | undefined;
  readonly formulaId?: string | undefined;
  readonly number?: string | undefined;
}): SaltSamplesOf {
  return params.batch === undefined ? readVersionAddress(params) : { batch: readBatchId(params.batch) };
}

export const loader = answer(async ({ params }: Route.LoaderArgs) => openSaltSamples(addressOf(params)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const form = readSaltSampleForm(await formOf(request));
  const { problem, gone } = await changeSaltSamples(addressOf(params), form);
  return data({ problem, gone, form }, { status: problem === null ? 200 : 422 });
});

export default function SaltSamplesRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <SaltSamplesPage base={loaderData} answered={answered ?? null} />;
}
