import { Button, TextInput, NativeSelect, UnstyledButton } from "@mantine/core";
import { STOCK_STRENGTHS_PERCENT, written, writtenShort } from "@tensidrum/core/quantities";
import { Form, useNavigation } from "react-router";
import { Frame } from "../../frame/Frame";
import { useUnits } from "../../frame/units";
import { StationNav } from "../../frame/stationNav/StationNav";
import shelf from "../Shelf.module.css";
import { shelfStations } from "../shelfStation";
import { Field } from "./Field";
import classes from "./Preparations.module.css";
import { StandingMade } from "./StandingPreparations";
import type { OpenSolution } from "./solution.server";

interface SolutionPageProps {
  readonly solution: OpenSolution;
  readonly problem: { readonly field: string; readonly message: string } | null;
}

/** Plans a stock solution, leads through making it, and puts it on the shelf. */
export function SolutionPage({ solution, problem }: SolutionPageProps) {
  const { typed, solutes, plan, standing } = solution;
  const at = (field: string) => (problem?.field === field ? problem.message : undefined);
  return (
    <Frame head={<h1 className={shelf.head}>Stock solution</h1>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>Stock solution, Tensidrum</title>
      <Form method="get" className={classes.wish} key={JSON.stringify(typed)}>
        <Field label="dissolve" problem={at("of")}>
          <NativeSelect name="of" defaultValue={typed.of}>
            <option value="">choose one</option>
            {solutes.map(({ slug, name }) => (
              <option key={slug} value={slug}>
                {name}
              </option>
            ))}
          </NativeSelect>
        </Field>
        <Field label="strength, % by mass" problem={at("strength")}>
          <TextInput name="strength" list="strengths" defaultValue={typed.strength} inputMode="decimal" autoComplete="off" />
        </Field>
        <datalist id="strengths">
          {STOCK_STRENGTHS_PERCENT.map((strength) => (
            <option key={strength} value={strength} />
          ))}
        </datalist>
        <Field label="how much, g" problem={at("grams")}>
          <TextInput name="grams" defaultValue={typed.grams} inputMode="decimal" autoComplete="off" />
        </Field>
        <Field label="keep for, months" problem={at("months")}>
          <TextInput name="months" defaultValue={typed.months} inputMode="decimal" autoComplete="off" />
        </Field>
        <UnstyledButton type="submit" className={classes.plan}>
          Plan it
        </UnstyledButton>
      </Form>
      {plan === null ? (
        <p className={shelf.empty}>
          Say what is to be dissolved and how strong. A few grams become something a scale can weigh, and drops stay even.
        </p>
      ) : (
        <Plan solution={solution} plan={plan} lotProblem={at("lot")} />
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
  readonly lotProblem: string | undefined;
}

function Plan({ solution: { typed, lots, ids }, plan, lotProblem }: PlanProps) {
  const isBusy = useNavigation().state !== "idle";
  const share = plan.soluteGrams / plan.grams;
  const { mass } = useUnits();
  return (
    <div className={classes.sides}>
      <section aria-labelledby="weigh-head">
        <h2 id="weigh-head">Weigh</h2>
        <p className={classes.hero}>
          <output>{written(plan.waterGrams, 2)}</output> g distilled water
        </p>
        <p className={classes.hero}>
          <output>{written(plan.soluteGrams, 2)}</output> g {plan.said}
        </p>
        <p
          className={classes.bar}
          role="img"
          aria-label={`${written(100 * share, 1)} % of it is ${plan.name} as supplied, the remainder water.`}
        >
          <span style={{ width: `${100 * share}%` }} />
        </p>
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
          <label data-problem={lotProblem === undefined ? undefined : true}>
            <span>{plan.name} taken from</span>
            <NativeSelect name="lot" defaultValue={typed.lot === "" ? (lots[0]?.id ?? "") : typed.lot}>
              {lots.map(({ id, code, freeGrams }) => (
                <option key={id} value={id}>
                  lot {code}, {mass(freeGrams)} free
                </option>
              ))}
              <option value="">no lot of the shelf</option>
            </NativeSelect>
            {lotProblem !== undefined && <em role="alert">{lotProblem}</em>}
          </label>
          <Button type="submit" h={40} loading={isBusy} data-act="It is made: put it on the shelf">
            It is made, put it on the shelf
          </Button>
        </Form>
      </section>
    </div>
  );
}
