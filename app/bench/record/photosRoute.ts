import { answer } from "../../frame/answer.server";
import { refused, takeForm } from "../../frame/readForm.server";
import { readBatchId } from "../forms.server";
import type { Route } from "./+types/photosRoute";
import { tooLargeToRead } from "../../frame/photo.server";
import { keepPhoto, photoForm } from "./photos.server";

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const batchId = readBatchId(params.batch);
  const tooLarge = tooLargeToRead(request);
  if (tooLarge.length > 0) return refused(null, tooLarge);
  return takeForm(photoForm, request, async (typed) => {
    await keepPhoto(batchId, typed);
    return { isKept: true };
  });
});
