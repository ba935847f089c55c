import { Checkbox, TextInput, UnstyledButton } from "@mantine/core";
import { writtenMass, writtenShort } from "@tensidrum/core/quantities";
import { lotsOfLine, type ShelfLot } from "@tensidrum/core/inventory";
import { Link } from "react-router";
import { useShelfLots } from "../shelfLots";
import { useSheet } from "../SheetState";
import { lineLots, typedLot } from "../typed/lineLots";
import type { TypedLine } from "../typed/typedSheet";
import type { LineActions } from "./lineActions";
import classes from "./LineDetail.module.css";

interface LotsOfLineProps {
  readonly line: TypedLine;
  /** Slug of the line's material. */
  readonly material: string;
  readonly isDraft: boolean;
  readonly take: LineActions["takeLots"];
}

/** The lots of a line's material that stand on the shelf; the line is weighed from those that are ticked. */
export function LotsOfLine({ line, material, isDraft, take }: LotsOfLineProps) {
  const shelf = useShelfLots();
  if (shelf === null) return null;
  const chosen = line.lots ?? [];
  const own = shelf.filter((lot) => lot.material === material);
  const gone = chosen.filter(({ lotId }) => !own.some(({ id }) => id === lotId));
  if (own.length + gone.length === 0) {
    return (
      <p>
        None of it stands on your shelf. <Link to={`/shelf/receive?material=${material}`}>Receive a lot</Link>
      </p>
    );
  }
  const toggle = (lot: ShelfLot, isTaken: boolean) =>
    take(line.id, isTaken ? [...chosen, typedLot(lot)] : chosen.filter(({ lotId }) => lotId !== lot.id));
  const type = (id: string, grams: string) =>
    take(
      line.id,
      chosen.map((lot) => (lot.lotId === id ? { ...lot, grams } : lot)),
    );
  return (
    <fieldset className={classes.lots}>
      <legend>weighed from</legend>
      {own.map((lot) => {
        const taken = chosen.find(({ lotId }) => lotId === lot.id);
        return (
          <div key={lot.id}>
            <label>
              <Checkbox checked={taken !== undefined} disabled={!isDraft} onChange={(event) => toggle(lot, event.currentTarget.checked)} />
              Lot {lot.code}, {writtenMass(lot.leftGrams)} left,{" "}
              {lot.assayPercent === null ? "no certificate" : `${writtenShort(lot.assayPercent, 2)} %`}
            </label>
            {taken !== undefined && chosen.length > 1 && (
              <label>
                <TextInput
                  value={taken.grams}
                  inputMode="decimal"
                  readOnly={!isDraft}
                  placeholder="remaining"
                  aria-label={`Grams of lot ${lot.code}`}
                  onChange={(event) => type(lot.id, event.currentTarget.value)}
                />
                g
              </label>
            )}
          </div>
        );
      })}
      {gone.map(({ lotId, code }) => (
        <div key={lotId}>
          Lot {code} is used up.{" "}
          {isDraft && (
            <UnstyledButton
              type="button"
              onClick={() =>
                take(
                  line.id,
                  chosen.filter((lot) => lot.lotId !== lotId),
                )
              }
            >
              Leave it out
            </UnstyledButton>
          )}
        </div>
      ))}
      {chosen.length > 0 && <Mix line={line} shelf={own} />}
    </fieldset>
  );
}

/** What the chosen lots come to, and where they do not reach. */
function Mix({ line, shelf }: { readonly line: TypedLine; readonly shelf: readonly ShelfLot[] }) {
  const { readings } = useSheet();
  const grams = readings.shown.lines.find(({ id }) => id === line.id)?.grams ?? null;
  const lots = line.lots ?? [];
  const { assayPercent, eachGrams, openGrams } = lotsOfLine(lineLots(lots), grams);
  const short = lots.flatMap(({ lotId, code }, at) => {
    const left = shelf.find(({ id }) => id === lotId)?.leftGrams ?? 0;
    return (eachGrams[at] ?? 0) > left ? [`lot ${code} has ${writtenMass(left)} of the ${writtenShort(eachGrams[at] ?? 0, 1)} g`] : [];
  });
  return (
    <p aria-live="polite">
      {assayPercent === null
        ? "Not every lot has a certificate, so the usual strength stands."
        : `Together ${writtenShort(assayPercent, 2)} % active.`}
      {openGrams !== null && openGrams > 0.005 && <strong> {writtenShort(openGrams, 2)} g of the line are not covered.</strong>}
      {openGrams !== null && openGrams < -0.005 && <strong> The lots come to {writtenShort(-openGrams, 2)} g more than the line.</strong>}
      {short.length > 0 && <strong> Not enough: {short.join(", ")}.</strong>}
    </p>
  );
}
