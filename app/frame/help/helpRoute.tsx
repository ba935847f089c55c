import { Refusal } from "@tensidrum/core/quantities";
import { answer } from "../answer.server";
import type { Route } from "./+types/helpRoute";
import { HelpPage } from "./HelpPage";
import { helpTopics } from "./pages";

export const loader = answer(({ params }: Route.LoaderArgs) => {
  const { topic } = params as { readonly topic?: string };
  if (topic !== undefined && !helpTopics.some(({ slug }) => slug === topic))
    throw new Refusal("not-found", "There is no page of help by this name.", "Choose one from the list.");
  return Promise.resolve({ slug: topic ?? null });
});

export default function HelpRoute({ loaderData }: Route.ComponentProps) {
  return <HelpPage slug={loaderData.slug} />;
}
