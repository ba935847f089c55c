import { useIntersection } from "@mantine/hooks";
import { useMemo } from "react";
import { useReadingsInSight } from "../JudgedSheet";
import type { OpenSheet } from "../openSheet.server";
import { useSheet } from "../SheetState";
import classes from "./MoreReadings.module.css";
import { MoreReadings, type LookedAt } from "./MoreReadings";

/** A little before it comes into sight. */
const AHEAD = { rootMargin: "200px" };

/** pH, keeping and body of what is typed. */
export function MorePart() {
  const { known, sheet } = useSheet();
  const { ref, entry } = useIntersection<HTMLDivElement>(AHEAD);
  const readings = useReadingsInSight(entry?.isIntersecting ?? true);
  const looked = useMemo(() => lookedAt(sheet.versions), [sheet.versions]);
  return (
    <div ref={ref} className={classes.more}>
      <MoreReadings readings={readings} materials={known.materials.bySlug} looked={looked} />
    </div>
  );
}

/** The newest version of which a batch was looked at. */
function lookedAt(versions: OpenSheet["versions"]): LookedAt | null {
  const [newest] = versions
    .flatMap(({ number, made }) => (made?.clarity == null ? [] : [{ number, batch: made.code, look: made.clarity }]))
    .sort((a, b) => b.number - a.number);
  return newest ?? null;
}
