import { answer } from "../../frame/answer.server";
import { checkPhoto } from "../watch.server";
import { readCheck } from "../watchForms.server";
import type { Route } from "./+types/checkPhotoRoute";

export const loader = answer(async ({ params }: Route.LoaderArgs) => checkPhoto(readCheck(params)));
