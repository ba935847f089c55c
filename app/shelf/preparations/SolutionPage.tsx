import { Button, NativeSelect } from "@mantine/core";
import { STOCK_STRENGTHS_PERCENT, written, writtenShort } from "@tensidrum/core/quantities";
import { Form, useNavigation } from "react-router";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { useUnits } from "../../frame/units";
import { StationNav } from "../../frame/stationNav/StationNav";
import shelf from "../Shelf.module.css";
import { shelfStations } from "../shelfStation";
import { NumberField } from "../../components/NumberField";
import { problemAt, type FormAnswer } from "../../frame/formAnswer";
import { Beaker } from "../../pictures/Beaker/Beaker";
import classes from "./Preparations.module.css";
import { StandingMade } from "./StandingPreparations";
import type { OpenSolution } from "./solution.server";
import { usePlanWhileTyping } from "./usePlanWhileTyping";

interface SolutionPageProps {
  readonly solution: OpenSolution;
  /** What was refused just now, else what the plan in the address lacks. */
  readonly answered: Pick<FormAnswer<unknown>, "problems">;
}

/** Plans a stock solution, leads through making it, and puts it on the shelf. */
export function SolutionPage({ solution, answered }: SolutionPageProps) {
  const { typed, solutes, plan, standing } = solution;
  const { onInput, isBehind } = usePlanWhileTyping();
  const field = (name: "strength" | "grams" | "months", label: string, unit: string, list?: string) => (
    <NumberField name={name} label={label} unit={unit} defaultValue={typed[name]} error={problemAt(answered, name)} list={list} />
  );
  return (
    <Frame head={<PageHeader>Stock solution</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>Stock solution, Tensidrum</title>
      <Form method="get" className={classes.wish} onInput={onInput}>
        <NativeSelect name="of" label="dissolve" defaultValue={typed.of} error={problemAt(answered, "of")} w={280}>
          <option value="">choose one</option>
          {solutes.map(({ slug, name }) => (
            <option key={slug} value={slug}>
              {name}
            </option>
          ))}
        </NativeSelect>
        {field("strength", "strength, % by mass", "%", "strengths")}
        <datalist id="strengths">
          {STOCK_STRENGTHS_PERCENT.map((strength) => (
            <option key={strength} value={strength} />
          ))}
        </datalist>
        {field("grams", "how much, g", "g")}
        {field("months", "keep for, months", "mo")}
        <noscript>
          <Button type="submit" variant="outline" h={40}>
            Plan it
          </Button>
        </noscript>
      </Form>
      {plan === null ? (
        <p className={shelf.empty}>
          Say what is to be dissolved and how strong. A few grams become something a scale can weigh, and drops stay even.
        </p>
      ) : (
        <Plan solution={solution} plan={plan} isBehind={isBehind} lotProblem={problemAt(answered, "lot")} />
      )}
      <StandingMade
        standing={standing}
        until={({ made, discard, isPast }) => (
          <>
            made {made}, {isPast ? <em>discard it: {discard} is past</em> : `discard ${discard}`}
          </>
        )}
      />
    </Frame>
  );
}

type PlanOf = NonNullable<OpenSolution["plan"]>;

interface PlanProps {
  readonly solution: OpenSolution;
  readonly plan: PlanOf;
  readonly isBehind: boolean;
  readonly lotProblem: string | undefined;
}

function Plan({ solution: { typed, lots, ids }, plan, isBehind, lotProblem }: PlanProps) {
  const isBusy = useNavigation().state !== "idle";
  const { mass } = useUnits();
  return (
    <div className={classes.sides}>
      <section aria-labelledby="weigh-head">
        <h2 id="weigh-head">Weigh</h2>
        <Beaker
          parts={[
            { name: plan.said, grams: plan.soluteGrams, tint: "var(--stratum-acid)" },
            { name: "distilled water", grams: plan.waterGrams, tint: "var(--stratum-water)" },
          ]}
        />
        {plan.least !== null && (
          <p className={classes.least}>
            The least of it your {plan.least.scale} scale weighs well, {written(plan.least.grams, 2)} g, carries{" "}
            <strong>{writtenShort(plan.least.soluteGrams, 4)} g</strong> of {plan.said}.
          </p>
        )}
        {plan.cautions.map((caution) => (
          <p key={caution} className={classes.caution}>
            {caution}
          </p>
        ))}
      </section>
      <section aria-labelledby="order-head">
        <h2 id="order-head">In this order</h2>
        <ol className={classes.steps}>
          {plan.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </section>
      <section aria-labelledby="label-head">
        <h2 id="label-head">Its label</h2>
        <p className={classes.label}>
          <strong>{plan.name}</strong>
          <span>{writtenShort(plan.strengthPercent, 2)} % w/w in water</span>
          <span>
            made {plan.made}, discard {plan.discard}
          </span>
        </p>
        <Form method="post" className={classes.make}>
          {Object.entries({ ...ids, of: typed.of, strength: typed.strength, grams: typed.grams, months: typed.months }).map(
            ([name, value]) => (
              <input key={name} type="hidden" name={name} value={value} />
            ),
          )}
          <NativeSelect
            name="lot"
            label={`${plan.name} taken from`}
            defaultValue={typed.lot === "" ? (lots[0]?.id ?? "") : typed.lot}
            error={lotProblem}
          >
            {lots.map(({ id, code, freeGrams }) => (
              <option key={id} value={id}>
                lot {code}, {mass(freeGrams)} free
              </option>
            ))}
            <option value="">no lot of the shelf</option>
          </NativeSelect>
          <Button type="submit" h={40} disabled={isBehind} loading={isBusy && !isBehind} data-act="It is made: put it on the shelf">
            It is made, put it on the shelf
          </Button>
        </Form>
      </section>
    </div>
  );
}
