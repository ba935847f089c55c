import { lazy, Suspense, useState } from "react";
import { useLocation } from "react-router";
import { blendIn } from "./blendState";
import { useSheet } from "../SheetState";

/** Only a sheet that is opened with a blend needs it. */
const TakenBlend = lazy(() => import("./TakenBlend"));

/** Takes the blend the page was opened with, where it was. */
export function TakenBlendPart() {
  const { isDraft } = useSheet();
  const { state } = useLocation();
  const [blend] = useState(() => blendIn(state));
  if (blend === null || !isDraft) return null;
  return (
    <Suspense>
      <TakenBlend blend={blend} />
    </Suspense>
  );
}
