import { Button } from "@mantine/core";
import { Link } from "react-router";
import { answer } from "../../frame/answer.server";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import { shelfStations } from "../shelfStation";
import type { Route } from "./+types/labelRoute";
import { openLabel } from "./label.server";
import classes from "./Label.module.css";
import { readLotId } from "../../frame/lotId.server";

export const loader = answer(async ({ params }: Route.LoaderArgs) => openLabel(readLotId(params.lot)));

export default function LabelRoute({ loaderData: label }: Route.ComponentProps) {
  return (
    <Frame
      head={<PageHeader>Label of lot {label.code}</PageHeader>}
      doors={
        <>
          <Link to={`/shelf/${label.slug}`}>The material</Link>
          <Button h={36} onClick={() => window.print()} data-act="Print the label" data-key="p">
            Print
          </Button>
        </>
      }
      line={<StationNav stations={shelfStations("back to it")} />}
    >
      <title>{`Label, ${label.name}`}</title>
      <article className={classes.label}>
        <h2>{label.name}</h2>
        <p>{label.contents}</p>
        <p className={classes.dates}>
          {label.made !== null && <span>made {label.made}</span>}
          {label.opened !== null && <span>opened {label.opened}</span>}
          {label.ends !== null && (
            <strong>
              {label.isMadeHere ? "discard" : "expires"} {label.ends}
            </strong>
          )}
        </p>
        <p>
          {label.code}, {label.mass}
          {label.note !== "" && `, ${label.note}`}
        </p>
        {label.caution !== null && <p className={classes.caution}>{label.caution}</p>}
      </article>
      <p className="not-printed">It is on the shelf. Print the label, or write its words on the bottle.</p>
    </Frame>
  );
}
