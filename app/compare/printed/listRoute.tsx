import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { readProduct } from "../products/productForms.server";
import type { Route } from "./+types/listRoute";
import { changeList, openList } from "./list.server";
import { listForm } from "./listForms.server";
import { ListPage } from "./ListPage";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openList(readProduct(params)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const product = readProduct(params);
  return takeForm(listForm, request, async (typed) => {
    const made = await changeList(product, typed);
    return redirect(made === null ? `/compare/products/${product}/list` : `/sheet/${made.formulaId}`);
  });
});

export default function ListRoute({ loaderData }: Route.ComponentProps) {
  return <ListPage key={loaderData.id} open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
