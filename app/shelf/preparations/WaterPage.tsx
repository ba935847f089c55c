import { Button, Checkbox, TextInput } from "@mantine/core";
import { writtenMass, writtenPercent } from "@tensidrum/core/quantities";
import { Form, useNavigation } from "react-router";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import shelf from "../Shelf.module.css";
import { shelfStations } from "../shelfStation";
import { NumberField } from "../../components/NumberField";
import { problemAt, type FormAnswer } from "../../frame/formAnswer";
import classes from "./Preparations.module.css";
import { StandingMade } from "./StandingPreparations";
import { usePlanWhileTyping } from "./usePlanWhileTyping";
import type { OpenWater } from "./water.server";

interface WaterPageProps {
  readonly water: OpenWater;
  /** What was refused just now, else what the plan in the address lacks. */
  readonly answered: Pick<FormAnswer<unknown>, "problems">;
}

/** Plans a water cooked from a plant, leads through it, and puts it on the shelf with its days of life. */
export function WaterPage({ water, answered }: WaterPageProps) {
  const { typed, plan, standing } = water;
  const { onInput, isBehind } = usePlanWhileTyping();
  const words = (name: "name" | "inci", label: string) => (
    <TextInput name={name} label={label} defaultValue={typed[name]} error={problemAt(answered, name)} w={280} autoComplete="off" />
  );
  const number = (name: "plant" | "water" | "yield" | "days", label: string, unit: string) => (
    <NumberField name={name} label={label} unit={unit} defaultValue={typed[name]} error={problemAt(answered, name)} />
  );
  return (
    <Frame head={<PageHeader>Plant water</PageHeader>} line={<StationNav stations={shelfStations("back to it")} />}>
      <title>Plant water, Tensidrum</title>
      <Form method="get" className={classes.wish} onInput={onInput}>
        {words("name", "name")}
        {words("inci", "INCI of what comes out of the plant")}
        {number("plant", "plant, g", "g")}
        {number("water", "water, g", "g")}
        {number("yield", "left after straining, g", "g")}
        {number("days", "days of life, cold", "d")}
        <Checkbox name="tested" label="challenge-tested" defaultChecked={typed.tested === "on"} />
        <noscript>
          <Button type="submit" variant="outline" h={40}>
            Plan it
          </Button>
        </noscript>
      </Form>
      {plan === null ? (
        <p className={shelf.empty}>
          Say which plant and how much of it. A plant water made here feeds microbes: it lasts a week in the refrigerator, at most two,
          whatever preserves it.
        </p>
      ) : (
        <Plan water={water} plan={plan} isBehind={isBehind} />
      )}
      <StandingMade
        standing={standing}
        until={({ made, daysLeft }) => (
          <>
            made {made},{" "}
            {daysLeft !== null && daysLeft <= 0 ? <em>past its days: discard it</em> : `${daysLeft ?? 0} days left in the cold`}
          </>
        )}
      />
    </Frame>
  );
}

interface PlanProps {
  readonly water: OpenWater;
  readonly plan: NonNullable<OpenWater["plan"]>;
  readonly isBehind: boolean;
}

function Plan({ water: { typed, ids }, plan, isBehind }: PlanProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <div className={classes.sides}>
      <section aria-labelledby="cook-head">
        <h2 id="cook-head">Cook it</h2>
        <ol className={classes.steps}>
          {plan.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </section>
      <section aria-labelledby="gives-head">
        <h2 id="gives-head">What it gives</h2>
        <p className={classes.hero}>
          {!plan.isYieldKnown && "about "}
          <output>{Math.round(plan.yieldGrams)}</output> g {plan.isYieldKnown && "weighed"}
        </p>
        {plan.composition.map(({ name, percent }) => (
          <p key={name} className={classes.line}>
            {name} <span>{writtenPercent(percent)} %, estimate</span>
          </p>
        ))}
        <p>
          The estimate takes a fifth of the dried plant as dissolved. On a sheet, let it stand for half of the water at most: its body
          thickens the wash.
        </p>
        <p className={classes.caution}>{plan.caution}</p>
      </section>
      <section aria-labelledby="life-head">
        <h2 id="life-head">Its life</h2>
        <p className={classes.label}>
          <strong>{plan.name}</strong>
          <span>{writtenMass(Math.round(plan.yieldGrams))}</span>
          <span>
            {plan.days === 1 ? "1 day" : `${plan.days} days`}, discard {plan.discard}
          </span>
        </p>
        <Form method="post" className={classes.make}>
          {Object.entries({ ...ids, ...typed }).map(([name, value]) => (
            <input key={name} type="hidden" name={name} value={value} />
          ))}
          <Button type="submit" h={40} loading={isBusy && !isBehind} disabled={isBehind || !plan.isYieldKnown}>
            It is cooked, put it on the shelf
          </Button>
          {!plan.isYieldKnown && <p>Weigh what is left after straining first.</p>}
        </Form>
      </section>
    </div>
  );
}
