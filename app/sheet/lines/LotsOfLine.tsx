import { percentText, writtenMass, writtenShort } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { useShelfLots } from "../shelfLots";
import classes from "./LineDetail.module.css";

interface LotsOfLineProps {
  /** Slug of the line's material. */
  readonly material: string;
  readonly isDraft: boolean;
  /** A certificate is to stand on the line, as it would be typed. */
  readonly onTake: (assay: string) => void;
}

/** The lots of a line's material that stand on the shelf; the certificate of one can stand on the line. */
export function LotsOfLine({ material, isDraft, onTake }: LotsOfLineProps) {
  const lots = useShelfLots();
  if (lots === null) return null;
  const own = lots.filter((lot) => lot.material === material);
  if (own.length === 0) {
    return (
      <p>
        None of it stands on your shelf. <Link to={`/shelf/receive?material=${material}`}>Receive a lot</Link>
      </p>
    );
  }
  return (
    <ul className={classes.lots} aria-label="Lots on your shelf">
      {own.map((lot) => (
        <li key={lot.id}>
          Lot {lot.code}: {writtenMass(lot.leftGrams)} left
          {lot.assayPercent === null && ", no certificate"}
          {lot.assayPercent !== null && `, ${writtenShort(lot.assayPercent, 2)} %`}
          {lot.assayPercent !== null && isDraft && (
            <button type="button" onClick={() => onTake(percentText(lot.assayPercent ?? 0))}>
              Count with it
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
