import { Button, TextInput, NativeSelect } from "@mantine/core";
import { writtenShort } from "@tensidrum/core/quantities";
import { data, Form, Link, redirect, useActionData, useNavigation } from "react-router";
import { answer } from "../frame/answer.server";
import { formOf } from "../frame/readForm.server";
import { Frame } from "../frame/Frame";
import { useUnits } from "../frame/units";
import { pairingDesk } from "../frame/requestContext.server";
import { stationsSeenFrom } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import type { Route } from "./+types/settingsRoute";
import { containerColumns, scaleColumns } from "./rows";
import { Devices } from "./Devices";
import { openDevices } from "./devices.server";
import { FunnelForm } from "./FunnelForm";
import { RowsForm } from "./RowsForm";
import { openSettings, saveSettings, type OpenSettings } from "./settings.server";
import { readSettingsForm } from "./settingsForm.server";
import classes from "./Settings.module.css";

export const loader = answer(async ({ context }: Route.LoaderArgs) => ({
  ...(await openSettings()),
  devices: openDevices(context.get(pairingDesk)),
}));

export const action = answer(async ({ request }: Route.ActionArgs) => {
  const form = readSettingsForm(await formOf(request));
  const problem = await saveSettings(form);
  return problem === null ? redirect(`/settings#${form.intent}`) : data(problem, { status: 422 });
});

export default function SettingsRoute({ loaderData }: Route.ComponentProps) {
  const { scales, containers, drops, funnel, batchCode, blankIds, devices } = loaderData;
  const problem = useActionData<typeof action>();
  const rowsOf = (intent: "scales" | "containers", stored: OpenSettings["scales"]) => ({
    rows: problem?.form.intent === intent ? problem.form.rows : stored,
    problems: problem?.form.intent === intent ? problem.rows : [],
  });
  return (
    <Frame
      head={<h1 className={classes.head}>Settings</h1>}
      line={<StationNav stations={stationsSeenFrom(null, { to: "/", state: "from Today", isAlarm: false })} />}
    >
      <title>Settings, Tensidrum</title>
      <div className={classes.page}>
        <div>
          <section id="scales" aria-labelledby="scales-head">
            <h2 id="scales-head">Scales</h2>
            <p className={classes.why}>
              Every line is weighed on the finest scale that carries it, and rounded to what that scale shows. Below 20 of its smallest
              steps rounding alone costs over 2.5 %, and the Sheet offers a cure.
            </p>
            <RowsForm
              key={JSON.stringify(scales)}
              intent="scales"
              columns={scaleColumns}
              {...rowsOf("scales", scales)}
              blankId={blankIds.scales}
              what="scale"
              save="Save the scales"
            />
          </section>
          <section id="containers" aria-labelledby="containers-head">
            <h2 id="containers-head">Containers</h2>
            <p className={classes.why}>
              What it is sold as says what may go in; the brim, less what stays free and what tube and pump take, says what fits. Where you
              have not measured the brim, leave it empty.
            </p>
            <RowsForm
              key={JSON.stringify(containers)}
              intent="containers"
              columns={containerColumns}
              {...rowsOf("containers", containers)}
              blankId={blankIds.containers}
              what="container"
              save="Save the containers"
            />
          </section>
          {devices !== null && (
            <section id="devices" aria-labelledby="devices-head">
              <h2 id="devices-head">Paired devices</h2>
              <Devices devices={devices} />
            </section>
          )}
        </div>
        <div>
          <section id="units" aria-labelledby="units-head">
            <h2 id="units-head">Money and mass</h2>
            <UnitsForm
              typed={problem?.form.intent === "units" ? problem.form.currency : null}
              message={problem?.form.intent === "units" ? problem.message : null}
            />
          </section>
          <section id="codes" aria-labelledby="codes-head">
            <h2 id="codes-head">Codes of batches</h2>
            <CodesForm
              batchCode={problem?.form.intent === "codes" ? problem.form.batchCode : batchCode}
              message={problem?.form.intent === "codes" ? problem.message : null}
            />
          </section>
          <section id="drops" aria-labelledby="drops-head">
            <h2 id="drops-head">Drops</h2>
            <DropsForm
              drops={drops}
              typed={problem?.form.intent === "drops" ? problem.form.drops : null}
              message={problem?.form.intent === "drops" ? problem.message : null}
            />
          </section>
          <section id="funnel" aria-labelledby="funnel-head">
            <h2 id="funnel-head">Funnel</h2>
            <FunnelForm
              funnel={funnel}
              typed={problem?.form.intent === "funnel" ? problem.form.funnel : null}
              message={problem?.form.intent === "funnel" ? problem.message : null}
            />
          </section>
        </div>
      </div>
    </Frame>
  );
}

const unitWords = { g: "grams, kilograms from 10 kg on", kg: "kilograms", oz: "ounces, avoirdupois" } as const;

interface UnitsFormProps {
  /** The currency as it was typed and refused. */
  readonly typed: string | null;
  readonly message: string | null;
}

function UnitsForm({ typed, message }: UnitsFormProps) {
  const { currency, massUnit } = useUnits();
  const isBusy = useNavigation().state !== "idle";
  return (
    <Form method="post" action="/settings" className={classes.small} key={`${currency} ${massUnit}`}>
      <label>
        <span>currency, as you write it</span>
        <TextInput name="currency" defaultValue={typed ?? currency} maxLength={8} placeholder="€" autoComplete="off" />
      </label>
      <label>
        <span>amounts on the shelf in</span>
        <NativeSelect name="massUnit" defaultValue={massUnit}>
          {Object.entries(unitWords).map(([unit, words]) => (
            <option key={unit} value={unit}>
              {words}
            </option>
          ))}
        </NativeSelect>
      </label>
      <Button type="submit" name="intent" value="units" h={36} variant="outline" loading={isBusy}>
        Save money and mass
      </Button>
      {message !== null && (
        <p role="alert" className={classes.problem}>
          {message}
        </p>
      )}
      <p className={classes.hint}>A sheet stays in grams, as the scale shows them. Every field of a mass also takes kg and oz.</p>
    </Form>
  );
}

function CodesForm({ batchCode, message }: { readonly batchCode: string; readonly message: string | null }) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <Form method="post" action="/settings" className={classes.small} key={batchCode}>
      <label>
        <span>pattern</span>
        <TextInput name="batchCode" defaultValue={batchCode} maxLength={40} autoComplete="off" />
      </label>
      <Button type="submit" name="intent" value="codes" h={36} variant="outline" loading={isBusy}>
        Save the pattern
      </Button>
      {message !== null && (
        <p role="alert" className={classes.problem}>
          {message}
        </p>
      )}
      <p className={classes.hint}>
        {"{letters} are the first letters of the formula's words, {yymmdd}, {yyyy}, {mm} and {dd} the day, {n} the number."}
      </p>
    </Form>
  );
}

interface DropsFormProps {
  readonly drops: OpenSettings["drops"];
  readonly typed: { readonly material: string; readonly drops: string; readonly grams: string } | null;
  readonly message: string | null;
}

function DropsForm({ drops: { fewest, materials, weighed }, typed, message }: DropsFormProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <>
      <p className={classes.why}>A drop differs from dropper to dropper. Weigh {fewest} together; what one weighs is yours from then on.</p>
      <Form method="post" action="/settings" className={classes.small} key={JSON.stringify(weighed)}>
        <label>
          <span>what was dropped</span>
          <NativeSelect name="material" defaultValue={typed?.material ?? ""}>
            <option value="">choose one</option>
            {materials.map(({ slug, name, milligrams }) => (
              <option key={slug} value={slug}>
                {name}
                {milligrams !== null && `, ${writtenShort(milligrams, 1)} mg now`}
              </option>
            ))}
          </NativeSelect>
        </label>
        <label>
          <span>drops</span>
          <TextInput name="drops" inputMode="decimal" defaultValue={typed?.drops ?? String(fewest)} autoComplete="off" />
        </label>
        <label>
          <span>together, g</span>
          <TextInput name="grams" inputMode="decimal" defaultValue={typed?.grams ?? ""} autoComplete="off" />
        </label>
        <Button type="submit" name="intent" value="drops" h={36} variant="outline" loading={isBusy}>
          Take the mass of a drop
        </Button>
        {message !== null && (
          <p role="alert" className={classes.problem}>
            {message}
          </p>
        )}
      </Form>
      {weighed.length > 0 && (
        <ul className={classes.weighed} aria-label="Your own drops">
          {weighed.map(({ slug, name, milligrams }) => (
            <li key={slug}>
              <Link to={`/shelf/${slug}`}>{name}</Link> <strong>{writtenShort(milligrams, 1)} mg</strong> a drop
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
