import { Button, Group, TextInput, UnstyledButton } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { Fold } from "../components/Fold";
import { DefaultButton } from "../components/DefaultButton";
import { useUnits } from "../frame/units";
import { problemAt, type FormAnswer } from "../frame/formAnswer";
import type { TypedMovement } from "./forms.server";
import classes from "./Lots.module.css";
import type { OpenMaterial } from "./openMaterial.server";
import { ConfirmButton } from "../components/ConfirmButton";
import { FormError } from "../components/FormError";
import { DataTable } from "../components/DataTable";
import { PartLinks } from "../components/PartLinks";

interface LotsProps {
  readonly material: OpenMaterial;
  readonly answered: FormAnswer<TypedMovement> | null;
}

/** The lots of a material, what can be done to each by hand, and the books. */
export function Lots({ material: { slug, lots, movements, hasOlderMovements, olderLots, isNewest }, answered }: LotsProps) {
  return (
    <section aria-labelledby="lots-head">
      <h2 id="lots-head">{lotsInWords(lots.length, isNewest && olderLots === null)}</h2>
      {lots.map((lot) => (
        <Lot key={lot.id} lot={lot} answered={answered?.typed.lotId === lot.id ? answered : null} />
      ))}
      <PartLinks
        of="lots"
        newest={isNewest ? null : `/shelf/${slug}`}
        older={olderLots === null ? null : `/shelf/${slug}?behind=${olderLots}`}
      />
      {movements.length > 0 && (
        <DataTable className={classes.books}>
          <caption>Stock ledger, newest first. A row is never changed; another row corrects a mistake.</caption>
          <thead>
            <tr>
              <th scope="col">date</th>
              <th scope="col">lot</th>
              <th scope="col">what</th>
              <th scope="col">g</th>
              <th scope="col">left</th>
            </tr>
          </thead>
          <tbody>
            {movements.map((movement) => (
              <tr key={movement.id}>
                <td>{movement.day}</td>
                <td>{movement.lot}</td>
                <td>
                  {kindWords[movement.kind]}
                  {movement.note !== "" && `: ${movement.note}`}
                </td>
                <td>{signed(movement.grams)}</td>
                <td>{movement.restGrams.toFixed(1)}</td>
              </tr>
            ))}
          </tbody>
        </DataTable>
      )}
      {hasOlderMovements && (
        <p>
          Older rows are in <a href="/shelf/movements.csv">the whole ledger, as CSV</a>.
        </p>
      )}
    </section>
  );
}

function lotsInWords(count: number, isAll: boolean): string {
  if (!isAll) return "Lots";
  return count === 1 ? "One lot" : count === 0 ? "No lot yet" : `${count} lots`;
}

const kindWords: Readonly<Record<OpenMaterial["movements"][number]["kind"], string>> = {
  receive: "received",
  reserve: "reserved for a batch",
  release: "free again",
  use: "used",
  correct: "corrected",
  discard: "discarded",
};

function signed(grams: number): string {
  return `${grams > 0 ? "+" : "\u2212"}${Math.abs(grams).toFixed(1)}`;
}

const dateFields = [
  { name: "openedOn", label: "opened on", type: "date" },
  { name: "endsOn", label: "expires on", type: "date" },
  { name: "afterOpening", label: "keeps once open, days", type: "text" },
] as const;

interface LotProps {
  readonly lot: OpenMaterial["lots"][number];
  readonly answered: LotsProps["answered"];
}

function Lot({ lot, answered }: LotProps) {
  const { mass, money } = useUnits();
  const isEmpty = lot.leftGrams === 0 && lot.promisedGrams === 0;
  const facts = [
    lot.lacksCertificate ? "no certificate" : lot.assay === null ? null : `certificate ${lot.assay}`,
    lot.pricePerKilogram === null ? null : `${money(lot.pricePerKilogram)} a kilogram`,
    lot.opened === null ? null : `opened ${lot.opened}`,
    lot.dates.afterOpening === "" ? null : `keeps ${lot.dates.afterOpening} days once open`,
    lot.ends === null ? null : `expires ${lot.ends}`,
    lot.supplier === "" ? null : `from ${lot.supplier}`,
  ].filter((fact) => fact !== null);
  return (
    <article className={classes.lot} aria-label={`Lot ${lot.code}`}>
      <h3>
        Lot {lot.code}
        <span>
          {isEmpty ? "none left" : mass(lot.leftGrams)} of {mass(lot.packGrams)}
        </span>
      </h3>
      <p>
        {facts.join(" · ")}
        {lot.promisedGrams > 0 && ` · ${mass(lot.promisedGrams)} reserved for a batch`}
      </p>
      {lot.onHold !== "" && (
        <p className={classes.held}>
          <strong>On hold:</strong> {lot.onHold}
        </p>
      )}
      {lot.note !== "" && <p>{lot.note}</p>}
      {isEmpty && answered === null ? (
        <div className={classes.doors}>
          <Link to={`/shelf/lots/${lot.id}/trace`}>Where it went</Link>
          <Fold summary="Correct it">
            <LotHand lot={lot} answered={answered} />
          </Fold>
        </div>
      ) : (
        <LotHand lot={lot} answered={answered} />
      )}
    </article>
  );
}

/** What can be done to a lot by hand. */
function LotHand({ lot, answered }: LotProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <Form method="post" className={classes.hand} key={lot.movementId}>
      <DefaultButton name="kind" value="none" />
      <input type="hidden" name="id" value={lot.movementId} />
      <input type="hidden" name="lotId" value={lot.id} />
      <TextInput
        label="grams"
        name="grams"
        inputMode="decimal"
        autoComplete="off"
        defaultValue={answered?.typed.grams ?? ""}
        aria-invalid={problemAt(answered, "grams") !== undefined || undefined}
      />
      <TextInput
        label="why"
        name="note"
        maxLength={200}
        autoComplete="off"
        defaultValue={answered?.typed.note ?? ""}
        classNames={{ input: classes.why }}
      />
      <span className={classes.doors}>
        <UnstyledButton type="submit" name="kind" value="use" disabled={isBusy}>
          Use some
        </UnstyledButton>
        <UnstyledButton type="submit" name="kind" value="weigh" disabled={isBusy}>
          Correct to a weighing
        </UnstyledButton>
        <UnstyledButton type="submit" name="kind" value="discard" disabled={isBusy}>
          Discard
        </UnstyledButton>
        <UnstyledButton type="submit" name="kind" value={lot.onHold === "" ? "hold" : "release"} disabled={isBusy}>
          {lot.onHold === "" ? "Put on hold" : "Take the hold off"}
        </UnstyledButton>
        <Link to={`/shelf/lots/${lot.id}/label`}>Label</Link>
        <Link to={`/shelf/lots/${lot.id}/trace`}>Where it went</Link>
        {lot.isUntouched && (
          <ConfirmButton
            name="kind"
            value="remove"
            disabled={isBusy}
            question={`Delete lot ${lot.code}?`}
            consequence="It goes with its rows of the stock ledger, as if it had never been received."
          >
            Delete the lot
          </ConfirmButton>
        )}
      </span>
      <FormError>{answered?.sentence}</FormError>
      <Fold summary="Dates">
        <Group align="end" gap="sm" wrap="wrap">
          {dateFields.map(({ name, label, type }) => (
            <TextInput
              key={name}
              name={name}
              label={label}
              type={type}
              inputMode={type === "text" ? "numeric" : undefined}
              defaultValue={answered?.typed.kind === "dates" ? answered.typed[name] : lot.dates[name]}
              error={problemAt(answered, name)}
              classNames={{ input: classes.date }}
            />
          ))}
          <Button type="submit" name="kind" value="dates" h={36} variant="outline" disabled={isBusy}>
            Keep the dates
          </Button>
        </Group>
      </Fold>
    </Form>
  );
}
