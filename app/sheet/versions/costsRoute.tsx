import { answer } from "../../frame/answer.server";
import { readSheetAddress } from "../forms.server";
import type { Route } from "./+types/costsRoute";
import { openVersionCosts } from "./costs.server";
import { VersionCosts } from "./VersionCosts";

export const loader = answer(async ({ params }: Route.LoaderArgs) =>
  openVersionCosts(readSheetAddress({ formulaId: params.formulaId }).formulaId),
);

export default function CostsRoute({ loaderData }: Route.ComponentProps) {
  return <VersionCosts open={loaderData} />;
}
