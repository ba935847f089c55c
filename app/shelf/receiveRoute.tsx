import { redirect, useActionData } from "react-router";
import { answer } from "../frame/answer.server";
import { readQuestions, takeForm } from "../frame/readForm.server";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { shelfStations } from "./shelfStation";
import { StationNav } from "../frame/stationNav/StationNav";
import type { Route } from "./+types/receiveRoute";
import { lotForm, receiveQuestions } from "./forms.server";
import { LotForm } from "./LotForm";
import { openReceive } from "./receive.server";
import { receive } from "./stock.server";

export const loader = answer(async ({ request }: Route.LoaderArgs) => openReceive(readQuestions(receiveQuestions, request)));

export const action = answer(async ({ request }: Route.ActionArgs) =>
  takeForm(lotForm, request, async (typed) => {
    const received = await receive(typed);
    return "slug" in received ? redirect(`/shelf/${received.slug}`) : received;
  }),
);

export default function ReceiveRoute({ loaderData }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <Frame head={<PageHeader>Receive a lot</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>Receive a lot, Tensidrum</title>
      <LotForm {...loaderData} answered={answered ?? null} />
    </Frame>
  );
}
