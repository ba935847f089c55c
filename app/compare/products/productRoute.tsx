import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import type { Route } from "./+types/productRoute";
import { changeProduct, openProduct } from "./product.server";
import { productForm, productQuestions, readProduct } from "./productForms.server";
import { ProductPage } from "./ProductPage";

export const loader = answer(async ({ params, request }: Route.LoaderArgs) =>
  openProduct(params.product === undefined ? null : readProduct(params), readQuestions(productQuestions, request).printed),
);

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(productForm, request, async (typed) => {
    const problems = await changeProduct(typed);
    if (problems.length > 0) return problems;
    return redirect(typed.intent === "delete" ? "/compare" : `/compare/products/${typed.id}`);
  }),
);

export default function ProductRoute({ loaderData }: Route.ComponentProps) {
  return <ProductPage open={loaderData} answered={useActionData<typeof action>() ?? null} />;
}
