import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import type { Route } from "./+types/differenceRoute";
import { Difference } from "./Difference";
import { openDifference, readWanted } from "./openDifference.server";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openDifference(readSheetAddress({ formulaId: params.formulaId }).formulaId, readWanted(new URL(request.url).searchParams)),
);

export default function DifferenceRoute({ loaderData }: Route.ComponentProps) {
  return <Difference difference={loaderData} />;
}
