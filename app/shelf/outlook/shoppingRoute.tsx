import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/shoppingRoute";
import { openShopping } from "./shopping.server";
import { ShoppingPage } from "./ShoppingPage";

export const loader = answer(async () => openShopping());

export default function ShoppingRoute({ loaderData }: Route.ComponentProps) {
  return <ShoppingPage open={loaderData} />;
}
