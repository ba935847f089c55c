import { redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { readQuestions, takeForm } from "../../frame/readForm.server";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import { shelfStations } from "../shelfStation";
import type { Route } from "./+types/newMaterialRoute";
import { materialForm, newMaterialQuestions } from "./materialForm.server";
import { MaterialForm } from "./MaterialForm";
import { openNewMaterial, saveNewMaterial } from "./own.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openNewMaterial(readQuestions(newMaterialQuestions, request)));

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(materialForm, request, async (typed) => {
    const saved = await saveNewMaterial(typed, typed.from);
    return "slug" in saved ? redirect(`/shelf/${saved.slug}`) : saved;
  }),
);

export default function NewMaterialRoute({ loaderData: { from, typed } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <Frame head={<PageHeader>A material of your own</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>A material of your own, Tensidrum</title>
      <MaterialForm
        key={from}
        from={from}
        typed={answered?.typed ?? typed}
        library={null}
        answered={answered ?? null}
        back={from === "" ? "/shelf" : `/shelf/${from}`}
        save="Put it into the library"
        away={null}
      />
    </Frame>
  );
}
