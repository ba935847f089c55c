import { Text } from "@mantine/core";
import { useEffect, useRef, useState } from "react";
import type { TakenBlend as Taken } from "./blendState";
import { useTakeBlend } from "./useTakeBlend";

/** Takes a blend the page was opened with into the sheet, once; it can be undone like anything else. */
export default function TakenBlend({ blend }: { readonly blend: Taken }) {
  const takeBlend = useTakeBlend();
  const [told, setTold] = useState<string | null>(null);
  const begun = useRef(false);
  const take = async (taken: Taken): Promise<void> => {
    const inTheWay = await takeBlend(taken);
    setTold(inTheWay ?? `${taken.sentence} Undo brings back what was here.`);
    // A page that is loaded again does not take it twice.
    if (inTheWay === null) window.history.replaceState({ ...(window.history.state as object | null), usr: null }, "");
  };
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    latest.current(blend).catch(() => setTold("The library could not be read. Go back and take the blend again."));
  }, [blend]);
  return told === null ? null : (
    <Text role="status" m="8px 0">
      {told}
    </Text>
  );
}
