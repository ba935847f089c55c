import { answer } from "../frame/answer.server";
import type { Route } from "./+types/weighingRoute";
import { openWeighing, readWeighingAddress } from "./weighing.server";
import { WeighingPage } from "./WeighingPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openWeighing(readWeighingAddress(params)));

export default function WeighingRoute({ loaderData }: Route.ComponentProps) {
  return <WeighingPage sheet={loaderData} />;
}
