import { Button, TextInput, NativeSelect } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import bench from "../Bench.module.css";
import { benchStations } from "../benchStation";
import type { OpenOverdrawn } from "./lots.server";
import type { FormAnswer } from "../../frame/formAnswer";
import type { TypedLots } from "./lotsForm.server";
import classes from "./LotsPage.module.css";
import { FormError } from "../../components/FormError";

interface LotsPageProps {
  readonly batch: OpenOverdrawn;
  readonly answered: FormAnswer<TypedLots> | null;
}

/** Lots of a batch that gave more than the ledger held: the real balance, or the lot it really came from. */
export function LotsPage({ batch: { id, code, lots }, answered }: LotsPageProps) {
  return (
    <Frame
      head={<PageHeader>Lots of {code}</PageHeader>}
      doors={<Link to={`/bench/${id}`}>Back to the batch</Link>}
      line={<StationNav stations={benchStations("lots to correct")} />}
    >
      <title>{`Lots of ${code}, Tensidrum`}</title>
      {lots.length === 0 ? (
        <p className={bench.empty}>
          Every lot of this batch holds what was taken from it. <Link to={`/bench/${id}`}>Back to the batch</Link>
        </p>
      ) : (
        <ul className={classes.lots}>
          {lots.map((lot) => (
            <li key={`${lot.line} ${lot.lotId}`}>
              <OneLot lot={lot} answered={answered?.typed.lotId === lot.lotId && answered.typed.line === lot.line ? answered : null} />
            </li>
          ))}
        </ul>
      )}
    </Frame>
  );
}

function OneLot({ lot, answered }: { readonly lot: OpenOverdrawn["lots"][number]; readonly answered: LotsPageProps["answered"] }) {
  const isBusy = useNavigation().state !== "idle";
  const hidden = (
    <>
      <input type="hidden" name="lotId" value={lot.lotId} />
      <input type="hidden" name="line" value={lot.line} />
      <input type="hidden" name="movementId" value={lot.movementId} />
    </>
  );
  return (
    <section aria-labelledby={`lot-${lot.lotId}`}>
      <h2 id={`lot-${lot.lotId}`}>
        {lot.name}, lot <Link to={`/shelf/${lot.slug}`}>{lot.code}</Link>
      </h2>
      <p>{lot.missing} more was weighed than the stock ledger held. The weight is kept. Which is true?</p>
      <FormError>{answered?.sentence}</FormError>
      <div className={classes.ways}>
        <Form method="post" className={classes.way}>
          {hidden}
          <TextInput
            label="The lot held more. Left in it now, g"
            name="grams"
            inputMode="decimal"
            autoComplete="off"
            defaultValue={answered?.typed.grams ?? ""}
          />
          <Button type="submit" name="intent" value="balance" h={44} variant="outline" loading={isBusy}>
            Save the balance
          </Button>
        </Form>
        {lot.others.length > 0 && (
          <Form method="post" className={classes.way}>
            {hidden}
            <NativeSelect label={<>{lot.missing}came from another lot</>} name="to" defaultValue={answered?.typed.to ?? ""}>
              <option value="">choose the lot</option>
              {lot.others.map((other) => (
                <option key={other.id} value={other.id}>
                  {other.code}, {other.left} left
                </option>
              ))}
            </NativeSelect>
            <Button type="submit" name="intent" value="other" h={44} variant="outline" loading={isBusy}>
              Book it there
            </Button>
          </Form>
        )}
      </div>
    </section>
  );
}
