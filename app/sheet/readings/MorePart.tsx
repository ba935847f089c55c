import { useIntersection } from "@mantine/hooks";
import { useReadingsInSight } from "../JudgedSheet";
import { useSheet } from "../SheetState";
import classes from "./MoreReadings.module.css";
import { MoreReadings } from "./MoreReadings";

/** A little before it comes into sight. */
const AHEAD = { rootMargin: "200px" };

/** pH, keeping and body of what is typed. */
export function MorePart() {
  const { known } = useSheet();
  const { ref, entry } = useIntersection<HTMLDivElement>(AHEAD);
  const readings = useReadingsInSight(entry?.isIntersecting ?? true);
  return (
    <div ref={ref} className={classes.more}>
      <MoreReadings readings={readings} materials={known.materials.bySlug} />
    </div>
  );
}
