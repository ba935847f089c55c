import { Button } from "@mantine/core";
import { cautionText, factText } from "@tensidrum/core/packaging";
import { Fragment } from "react";
import { Link } from "react-router";
import { Frame } from "../../frame/Frame";
import { stationsSeenFrom } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import classes from "./Card.module.css";
import type { OpenCard } from "./openCard.server";
import { DataTable } from "../../components/DataTable";

export function CardPage({ version: { formulaId, number, isDraft, writtenOn, card, phases } }: { readonly version: OpenCard }) {
  const back = `/sheet/${formulaId}/${number}`;
  return (
    <Frame
      head={<span className={classes.head}>Formula card</span>}
      doors={
        <>
          <Link to={back} className={classes.door} data-act="Back to the sheet" data-key="s">
            Back to the sheet
          </Link>
          <a href={`${back}/files/card.md`} className={classes.door} data-act="Download the card as text">
            As text
          </a>
          <Button h={36} className={classes.print} onClick={() => window.print()} data-act="Print the card" data-key="p">
            Print
          </Button>
        </>
      }
      line={<StationNav stations={stationsSeenFrom("sheet", { to: back, state: isDraft ? "draft" : "final", isAlarm: false })} />}
    >
      <title>{`Card, ${card.title}, v${number}`}</title>
      <article className={classes.card}>
        <header>
          <h1>{card.title}</h1>
          <p>
            {card.subtitle} · version {number}, {isDraft ? "a draft, may still change" : "final"} · {writtenOn}
          </p>
        </header>
        <DataTable className={classes.lines}>
          <thead>
            <tr>
              <th scope="col">material</th>
              <th scope="col" className={classes.purpose}>
                what for
              </th>
              <th scope="col" className={classes.number}>
                %
              </th>
              <th scope="col" className={classes.number}>
                g
              </th>
            </tr>
          </thead>
          <tbody>
            {phases.map((phase) => (
              <Fragment key={phase.letter}>
                <tr className={classes.phase}>
                  <th scope="rowgroup" colSpan={4}>
                    <span>{phase.letter}</span> {phase.title}
                  </th>
                </tr>
                {phase.lines.map((line, at) => (
                  <tr key={`${line.name} ${at}`}>
                    <td data-for={line.purpose}>{line.name}</td>
                    <td className={classes.purpose}>{line.purpose}</td>
                    <td className={classes.number}>{line.percent}</td>
                    <td className={classes.number}>{line.grams}</td>
                  </tr>
                ))}
              </Fragment>
            ))}
          </tbody>
        </DataTable>
        <section className={classes.beside}>
          <h2>What it is</h2>
          <ul>
            {card.facts.map((fact) => (
              <li key={fact.code}>{factText(fact)}</li>
            ))}
          </ul>
          <h2>Cautions</h2>
          <ul>
            {card.cautions.map(cautionText).map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </section>
      </article>
    </Frame>
  );
}
