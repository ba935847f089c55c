import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/sideRoute";
import { openSide } from "./side.server";
import { SidePage } from "./SidePage";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openSide(new URL(request.url).searchParams.getAll("of")));

export default function SideRoute({ loaderData }: Route.ComponentProps) {
  return <SidePage open={loaderData} />;
}
