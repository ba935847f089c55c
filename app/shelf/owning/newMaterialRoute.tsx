import { data, redirect, useActionData } from "react-router";
import { answer } from "../../frame/answer.server";
import { formOf } from "../../frame/readForm.server";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import shelf from "../Shelf.module.css";
import { shelfStations } from "../shelfStation";
import type { Route } from "./+types/newMaterialRoute";
import { readMaterialForm } from "./materialForm.server";
import { MaterialForm } from "./MaterialForm";
import { openNewMaterial, saveNewMaterial } from "./own.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) =>
  openNewMaterial((new URL(request.url).searchParams.get("from") ?? "").slice(0, 120)),
);

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const { typed, from } = readMaterialForm(await formOf(request));
  const saved = await saveNewMaterial(typed, from);
  return "problems" in saved ? data({ problems: saved.problems, typed }, { status: 422 }) : redirect(`/shelf/${saved.slug}`);
});

export default function NewMaterialRoute({ loaderData: { from, typed } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <Frame head={<h1 className={shelf.head}>A material of your own</h1>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>A material of your own, Tensidrum</title>
      <MaterialForm
        key={from}
        from={from}
        typed={answered?.typed ?? typed}
        library={null}
        problems={answered?.problems ?? []}
        back={from === "" ? "/shelf" : `/shelf/${from}`}
        save="Put it into the library"
        away={null}
      />
    </Frame>
  );
}
