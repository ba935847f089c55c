import { Link } from "react-router";
import { PageHeader } from "../components/PageHeader";
import { Frame } from "../frame/Frame";
import { stationsSeenFrom } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import { CodesForm } from "./CodesForm";
import { Devices } from "./Devices";
import type { OpenDevices } from "./devices.server";
import { DropsForm } from "./DropsForm";
import { FunnelForm } from "./FunnelForm";
import { filledRows, scaleColumns } from "./rows";
import { RowsForm } from "./RowsForm";
import type { FormAnswer } from "../frame/formAnswer";
import type { OpenSettings } from "./settings.server";
import type { TypedSettings } from "./settingsForm.server";
import { UnitsForm } from "./UnitsForm";
import classes from "./Settings.module.css";

interface SettingsPageProps {
  readonly settings: OpenSettings & { readonly devices: OpenDevices | null };
  /** What was refused just now. */
  readonly answered: FormAnswer<TypedSettings> | null;
}

/** Settings by what the maker has on the bench. */
export function SettingsPage({ settings, answered }: SettingsPageProps) {
  const { scales, drops, funnel, batchCode, blankIds, devices } = settings;
  const rowsOf = (intent: "scales", stored: OpenSettings["scales"]) => {
    const refused = answered?.typed.intent === intent ? { answered, rows: filledRows(answered.typed.rows) } : null;
    return refused ?? { answered: null, rows: stored };
  };
  const typed = answered?.typed;
  const saidOf = (intent: TypedSettings["intent"]): string | null => (typed?.intent === intent ? (answered?.sentence ?? null) : null);
  return (
    <Frame
      head={<PageHeader>Settings</PageHeader>}
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
            <UnitsForm typed={typed?.intent === "units" ? typed.currency : null} message={saidOf("units")} />
          </section>
          <section id="backups" aria-labelledby="backups-head">
            <h2 id="backups-head">Backups</h2>
            <p className={classes.why}>
              One of each day is kept here. <Link to="/settings/backups">Make one, take it to another machine, restore one</Link>
            </p>
          </section>
          <section id="codes" aria-labelledby="codes-head">
            <h2 id="codes-head">Codes of batches</h2>
            <CodesForm batchCode={typed?.intent === "codes" ? typed.batchCode : batchCode} message={saidOf("codes")} />
          </section>
          <section id="drops" aria-labelledby="drops-head">
            <h2 id="drops-head">Drops</h2>
            <DropsForm drops={drops} typed={typed?.intent === "drops" ? typed : null} message={saidOf("drops")} />
          </section>
          <section id="funnel" aria-labelledby="funnel-head">
            <h2 id="funnel-head">Flow cup</h2>
            <FunnelForm funnel={funnel} typed={typed?.intent === "funnel" ? typed : null} message={saidOf("funnel")} />
          </section>
        </div>
      </div>
    </Frame>
  );
}
