import { answer } from "../../frame/answer.server";
import type { Route } from "./+types/productPhotoRoute";
import { productPhoto } from "./product.server";
import { readProduct } from "./productForms.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => productPhoto(readProduct(params)));
