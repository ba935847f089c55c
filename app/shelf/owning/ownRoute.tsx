import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { takeForm } from "../../frame/readForm.server";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import { readMaterialSlug } from "../forms.server";
import { shelfStations } from "../shelfStation";
import type { Route } from "./+types/ownRoute";
import { materialForm } from "./materialForm.server";
import { MaterialForm } from "./MaterialForm";
import { openOwn, saveOwn, takeAway } from "./own.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openOwn(readMaterialSlug(params.material)));

export const action = answer(async ({ params, request }: Route.ActionArgs) => {
  const slug = readMaterialSlug(params.material);
  return takeForm(materialForm, request, async (typed) => {
    if (typed.intent === "save") {
      const saved = await saveOwn(slug, typed);
      return "slug" in saved ? redirect(`/shelf/${slug}`) : saved;
    }
    const { isOwn } = await openOwn(slug);
    const problems = await takeAway(slug);
    return problems.length > 0 ? problems : redirect(isOwn ? "/shelf?where=library" : `/shelf/${slug}`);
  });
});

export default function OwnRoute({ loaderData: { slug, name, isOwn, typed, library } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <Frame head={<PageHeader>{name}</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>{`My values of ${name}, Tensidrum`}</title>
      <MaterialForm
        key={slug}
        typed={answered?.typed ?? typed}
        library={isOwn ? null : library}
        answered={answered ?? null}
        back={`/shelf/${slug}`}
        save={isOwn ? "Save the material" : "Use my values"}
        away={isOwn ? "Delete it from the library" : "Reset to library values"}
      />
    </Frame>
  );
}
