import { data, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import { readBatchId, readVersionAddress } from "../forms.server";
import type { Route } from "./+types/jarsRoute";
import { readJarForm } from "./jarForm.server";
import { changeJars, openJars, type JarsOf } from "./jars.server";
import { JarsPage } from "./JarsPage";

/** Jars are reached from a version and from a batch. */
function addressOf(params: {
  readonly batch?: string | undefined;
  readonly formulaId?: string | undefined;
  readonly number?: string | undefined;
}): JarsOf {
  return params.batch === undefined ? readVersionAddress(params) : { batch: readBatchId(params.batch) };
}

export const loader = answer(async ({ params }: Route.LoaderArgs) => openJars(addressOf(params)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const form = readJarForm(await formOf(request));
  const { problem, gone } = await changeJars(addressOf(params), form);
  return data({ problem, gone, form }, { status: problem === null ? 200 : 422 });
});

export default function JarsRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return <JarsPage base={loaderData} answered={answered ?? null} />;
}
