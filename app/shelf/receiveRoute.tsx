import { data, redirect, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import { Frame } from "../frame/Frame";
import { shelfStations } from "./shelfStation";
import { StationNav } from "../frame/stationNav/StationNav";
import type { Route } from "./+types/receiveRoute";
import { readLotForm } from "./forms.server";
import { LotForm } from "./LotForm";
import { openReceive } from "./receive.server";
import classes from "./Shelf.module.css";
import { receive } from "./stock.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openReceive(new URL(request.url).searchParams.get("material") ?? ""));

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const typed = readLotForm(await formOf(request));
  const received = await receive(typed);
  return "problems" in received ? data({ problems: received.problems, typed }, { status: 422 }) : redirect(`/shelf/${received.slug}`);
});

export default function ReceiveRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <Frame head={<h1 className={classes.head}>Receive a lot</h1>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>Receive a lot, Tensidrum</title>
      <LotForm {...loaderData} typed={answered?.typed} problems={answered?.problems ?? []} />
    </Frame>
  );
}
