import { Button, Checkbox, TextInput, NativeSelect, Radio, UnstyledButton } from "@mantine/core";
import { writtenMass, writtenShort } from "@tensidrum/core/quantities";
import { Form, Link, useNavigation } from "react-router";
import { DefaultButton } from "../../components/DefaultButton";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { FormAnswer } from "../../frame/formAnswer";
import type { OpenBegin } from "./begin.server";
import { benchStations } from "../benchStation";
import classes from "../Bench.module.css";
import { FormError } from "../../components/FormError";
import { DataTable } from "../../components/DataTable";

interface BeginPageProps {
  readonly plan: OpenBegin;
  readonly answered: FormAnswer<unknown> | null;
}

/** Before the first weight: how much, from which lots, into which beakers, and what must be right. */
export function BeginPage({ plan, answered }: BeginPageProps) {
  const { name, number, items, lines, vessels, typed, underWay } = plan;
  const isBusy = useNavigation().state !== "idle";
  return (
    <Frame
      head={
        <PageHeader
          beside={
            <>
              {name}, v{number}
            </>
          }
        >
          Before you begin
        </PageHeader>
      }
      doors={
        <>
          <Link to={`/bench/practice/${plan.formulaId}/${number}`}>
            {plan.lastPractice === null ? "Practice run first" : `Practice run, last ${plan.lastPractice} of 100`}
          </Link>
          <Link to={`/bench/salt-samples/${plan.formulaId}/${number}`}>Salt-curve samples</Link>
          <Link to={`/sheet/${plan.formulaId}/${number}`}>Back to the sheet</Link>
        </>
      }
      line={<StationNav stations={benchStations("before you begin")} />}
    >
      <title>{`Before you begin, ${name}`}</title>
      <FormError>{answered?.sentence ?? plan.sizeProblem}</FormError>
      {underWay.length > 0 && (
        <p role="status" className={classes.problem}>
          {underWay.length === 1 ? "A batch of this version is being made:" : "Batches of this version are being made:"}{" "}
          {underWay.map(({ id, code }, at) => (
            <span key={id}>
              {at > 0 && ", "}
              <Link to={`/bench/${id}`}>go on with {code}</Link>
            </span>
          ))}
          , or begin another.
        </p>
      )}
      <Form method="post" className={classes.begin} key={plan.id}>
        <DefaultButton name="intent" value="look" />
        <input type="hidden" name="id" value={plan.id} />
        <input type="hidden" name="plan" value={plan.planId} />
        {underWay.map(({ id }) => (
          <input key={id} type="hidden" name="another" value={id} />
        ))}
        <section aria-labelledby="right-head">
          <h2 id="right-head">What must be right</h2>
          <ul className={classes.items}>
            {items.map(({ id, state, what, why }) => (
              <li key={id} data-state={state}>
                {state === "ask" ? (
                  <Checkbox
                    size="lg"
                    label={
                      <>
                        <strong>{what}</strong> {why}
                      </>
                    }
                    name="seen"
                    value={id}
                    defaultChecked={typed.seen.includes(id)}
                  />
                ) : (
                  <span>
                    <strong>
                      {state === "stop" ? "Stop. " : ""}
                      {what}
                    </strong>{" "}
                    {why}
                  </span>
                )}
              </li>
            ))}
          </ul>
          <Button type="submit" name="intent" value="begin" h={62} fz={19} loading={isBusy}>
            {underWay.length === 0 ? "Begin the batch" : "Begin another batch"}
          </Button>
        </section>
        <section aria-labelledby="lots-head">
          <h2 id="lots-head">How much, and from which lots</h2>
          <Size plan={plan} isBusy={isBusy} />
          <DataTable isRuled className={classes.list}>
            <thead>
              <tr>
                <th scope="col">line</th>
                <th scope="col">g</th>
                <th scope="col">from</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => (
                <tr key={line.id}>
                  <th scope="row">{line.name}</th>
                  <td>{writtenShort(line.grams, 3)}</td>
                  <td>
                    {line.lots.length === 0 ? (
                      "no lot on the shelf"
                    ) : (
                      <NativeSelect name={`lots.${line.id}`} defaultValue={line.wish} aria-label={`Lot for ${line.name}`}>
                        <option value="">
                          {line.from.length === 0
                            ? "as proposed"
                            : line.from.map(({ code, grams }) => `${code} ${writtenShort(grams, 2)} g`).join(", ")}
                        </option>
                        {line.lots.map((lot) => (
                          <option key={lot.id} value={lot.id}>
                            {lot.code}, {writtenMass(lot.freeGrams)} free
                          </option>
                        ))}
                        <option value="none">no lot of the shelf</option>
                      </NativeSelect>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </DataTable>
        </section>
        <section aria-labelledby="beakers-head">
          <h2 id="beakers-head">Tare weights</h2>
          <p className={classes.sub}>Beaker with its stirrer; they cannot be taken afterwards.</p>
          {vessels.map(({ id, name: vessel }) => (
            <label key={id} className={classes.tare}>
              {vessel}
              <span>
                <TextInput name={`tares.${id}`} defaultValue={typed.tares[id] ?? ""} inputMode="decimal" autoComplete="off" /> g
              </span>
            </label>
          ))}
        </section>
      </Form>
    </Frame>
  );
}

/** How large the batch is to be: by its mass, by what it fills, or by what is left of one material. */
function Size({ plan, isBusy }: { readonly plan: OpenBegin; readonly isBusy: boolean }) {
  const { size } = plan.typed;
  return (
    <div className={classes.size}>
      <Radio size="md" label="by mass" name="size.by" value="mass" defaultChecked={size.by === "mass"} />
      <label>
        batch <TextInput name="grams" defaultValue={plan.grams} inputMode="decimal" autoComplete="off" aria-label="Batch, g" /> g
      </label>
      {plan.containers.length > 0 && (
        <>
          <Radio size="md" label="by containers" name="size.by" value="containers" defaultChecked={size.by === "containers"} />
          <span>
            <TextInput
              name="size.count"
              defaultValue={size.count}
              inputMode="numeric"
              autoComplete="off"
              aria-label="How many containers"
            />{" "}
            ×{" "}
            <NativeSelect name="size.container" defaultValue={size.container} aria-label="Container">
              <option value="">choose one</option>
              {plan.containers.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </NativeSelect>
          </span>
        </>
      )}
      <Radio size="md" label="by what I have" name="size.by" value="hand" defaultChecked={size.by === "hand"} />
      <span>
        <TextInput name="size.hand" defaultValue={size.hand} inputMode="decimal" autoComplete="off" aria-label="What I have of it, g" /> g
        of{" "}
        <NativeSelect name="size.material" defaultValue={size.material} aria-label="Material">
          <option value="">choose one</option>
          {plan.lines.map(({ id, slug, name }) => (
            <option key={id} value={slug}>
              {name}
            </option>
          ))}
        </NativeSelect>
      </span>
      {plan.sizeWhy !== null && <p>{plan.sizeWhy}</p>}
      <UnstyledButton
        type="submit"
        name="intent"
        value="look"
        disabled={isBusy}
        className={classes.quiet}
        data-act="Calculate with this size and these lots"
      >
        Look again
      </UnstyledButton>
    </div>
  );
}
