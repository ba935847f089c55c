import { written, writtenShort } from "@tensidrum/core/quantities";
import { Button, TextInput, NativeSelect, UnstyledButton } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { StationNav } from "../../frame/stationNav/StationNav";
import { shareSign } from "../../pictures/Shares/geometry";
import { Shares } from "../../pictures/Shares/Shares";
import { shelfStations } from "../shelfStation";
import { InProduct } from "./InProduct";
import type { FormAnswer } from "../../frame/formAnswer";
import type { TypedScent } from "./scentForms.server";
import classes from "./Scents.module.css";
import type { OpenScent } from "./scents.server";
import { ConfirmButton } from "../../components/ConfirmButton";
import { FormError } from "../../components/FormError";
import { DataTable } from "../../components/DataTable";

interface ScentPageProps {
  readonly scent: OpenScent;
  readonly answered: FormAnswer<TypedScent> | null;
}

/** A scent and its rounds: what is in each, what changed, and what the last one does in a product. */
export function ScentPage({ scent, answered }: ScentPageProps) {
  const { name, rounds, oils } = scent;
  const last = rounds.at(-1);
  return (
    <Frame
      head={
        <PageHeader beside={<>{rounds.length === 0 ? "no round yet" : `round ${last?.number ?? 0}, ${last?.day ?? ""}`}</>}>
          {name}
        </PageHeader>
      }
      doors={<Link to="/scents">All scents</Link>}
      line={<StationNav stations={shelfStations("back to it")} />}
    >
      <title>{`${name}, Tensidrum`}</title>
      <FormError>{answered?.sentence}</FormError>
      <div className={classes.page}>
        <div>
          {rounds.length > 0 && (
            <Shares
              rows={rounds.map(({ number, shares }) => ({ name: `round ${number}`, parts: shares }))}
              keys={oils.map(({ slug }) => slug)}
              label={rounds.map((round) => `Round ${round.number}: ${sharesInWords(round.shares, oils)}`).join(". ")}
            />
          )}
          <Rounds scent={scent} typed={answered?.typed.intent === "round" ? answered.typed : null} />
          {rounds.length > 1 && <Changes rounds={rounds} />}
          {last !== undefined && <Keep scent={scent} last={last} />}
        </div>
        <InProduct scent={scent} />
      </div>
    </Frame>
  );
}

type Round = OpenScent["rounds"][number];

function sharesInWords(shares: Round["shares"], oils: OpenScent["oils"]): string {
  return shares.map(({ key, percent }) => `${oils.find(({ slug }) => slug === key)?.name ?? key} ${written(percent, 1)} %`).join(", ");
}

/** More columns than this do not stand side by side. */
const ROUNDS_SHOWN = 4;

/** The rounds as a table of counts; the last column is the next round, to be typed. */
function Rounds({ scent, typed }: { readonly scent: OpenScent; readonly typed: TypedScent | null }) {
  const { rounds, oils, choice, newId } = scent;
  const isBusy = useNavigation().state !== "idle";
  const shown = rounds.slice(-ROUNDS_SHOWN);
  const last = rounds.at(-1);
  const countOf = (slug: string): string =>
    typed?.oils[slug]?.count ?? (last?.counts[slug] === undefined ? "" : writtenShort(last.counts[slug], 3));
  const isNew = oils.length === 0;
  // A narrow screen shows the last round beside the next.
  const isEarlier = (number: number) => number !== last?.number || undefined;
  const blanks = isNew ? [0, 1, 2] : [0];
  return (
    <Form method="post" className={classes.rounds} key={`${newId} ${typed?.id ?? ""}`}>
      <input type="hidden" name="id" value={newId} />
      <DataTable>
        <thead>
          <tr>
            <th scope="col">oil</th>
            {shown.map(({ number, countedIn }) => (
              <th scope="col" key={number} data-earlier={isEarlier(number)}>
                round {number}
                <small>{countedIn}</small>
              </th>
            ))}
            <th scope="col">
              <NativeSelect
                label={isNew ? "first round" : "next round"}
                name="countedIn"
                defaultValue={typed?.countedIn ?? last?.countedIn ?? "drops"}
                aria-label="Counted in"
              >
                {["drops", "grams", "parts"].map((unit) => (
                  <option key={unit}>{unit}</option>
                ))}
              </NativeSelect>
            </th>
          </tr>
        </thead>
        <tbody>
          {oils.map(({ slug, name }, at) => (
            <tr key={slug}>
              <th scope="row">
                <b>{shareSign(at)}</b> <Link to={`/shelf/${slug}`}>{name}</Link>
              </th>
              {shown.map((round) => {
                const share = round.shares.find(({ key }) => key === slug)?.percent;
                return (
                  <td key={round.number} data-earlier={isEarlier(round.number)}>
                    {round.counts[slug] === undefined ? "" : writtenShort(round.counts[slug], 3)}
                    {share !== undefined && <small>{written(share, 1)} %</small>}
                  </td>
                );
              })}
              <td>
                <input type="hidden" name={`oils.${slug}.material`} value={slug} />
                <TextInput
                  name={`oils.${slug}.count`}
                  inputMode="decimal"
                  defaultValue={countOf(slug)}
                  aria-label={`${name}, next round`}
                  autoComplete="off"
                />
              </td>
            </tr>
          ))}
          {blanks.map((at) => (
            <tr key={at}>
              <th scope="row">
                <NativeSelect
                  name={`oils.row ${at}.material`}
                  defaultValue={typed?.oils[`row ${at}`]?.material ?? (at === blanks[0] ? scent.withOil : "")}
                  aria-label={isNew ? `Oil ${at + 1}` : "Another oil"}
                >
                  <option value="">{isNew ? "choose an oil" : "another oil"}</option>
                  {choice.map(({ slug, name }) => (
                    <option key={slug} value={slug}>
                      {name}
                    </option>
                  ))}
                </NativeSelect>
              </th>
              {shown.map(({ number }) => (
                <td key={number} data-earlier={isEarlier(number)} />
              ))}
              <td>
                <TextInput
                  name={`oils.row ${at}.count`}
                  inputMode="decimal"
                  defaultValue={typed?.oils[`row ${at}`]?.count ?? ""}
                  aria-label={isNew ? `Count of oil ${at + 1}` : "Count of another oil"}
                  autoComplete="off"
                />
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">together</th>
            {shown.map(({ number, totalGrams }) => (
              <td key={number} data-earlier={isEarlier(number)}>
                {totalGrams === null ? "" : `${written(totalGrams, 2)} g`}
              </td>
            ))}
            <td />
          </tr>
          <tr>
            <th scope="row">how it smells</th>
            {shown.map(({ number, note }) => (
              <td key={number} className={classes.note} data-earlier={isEarlier(number)}>
                {note}
              </td>
            ))}
            <td>
              <TextInput name="note" maxLength={500} defaultValue={typed?.note ?? ""} aria-label="How it smells" autoComplete="off" />
            </td>
          </tr>
        </tfoot>
      </DataTable>
      <p className={classes.doors}>
        <Button type="submit" name="intent" value="round" h={40} loading={isBusy}>
          {isNew ? "Keep the first round" : "Keep this round"}
        </Button>
        <span>{isNew ? "Two or three oils are enough to begin." : "Change one oil per round, so that you know its effect."}</span>
      </p>
    </Form>
  );
}

/** What each round changed, the newest first; the oil whose share rose most may be the one that drowns the rest. */
function Changes({ rounds }: { readonly rounds: OpenScent["rounds"] }) {
  return (
    <section className={classes.changes} aria-labelledby="changes-head">
      <h2 id="changes-head">What changed</h2>
      <ol>
        {rounds
          .filter(({ changed }) => changed.length > 0)
          .toReversed()
          .map(({ number, changed }) => {
            const most = changed.toSorted((a, b) => b.after - b.before - (a.after - a.before))[0];
            return (
              <li key={number}>
                <strong>Round {number}</strong>{" "}
                {changed.map(({ name, before, after }) => `${name} ${written(before, 1)} to ${written(after, 1)} %`).join(", ")}.
                {most !== undefined && most.after > most.before && ` ${most.name} came forward most.`}
              </li>
            );
          })}
      </ol>
    </section>
  );
}

function Keep({ scent: { name }, last }: { readonly scent: OpenScent; readonly last: Round }) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <section className={classes.keep} aria-labelledby="keep-head">
      <h2 id="keep-head">Keep it</h2>
      {last.keptAs !== null ? (
        <p>
          Round {last.number} is kept as <Link to={`/shelf/${last.keptAs}`}>a material</Link>; a sheet can use it.
        </p>
      ) : (
        <Form method="post">
          <input type="hidden" name="id" value={last.id} />
          <label>
            Round {last.number} as a material called{" "}
            <TextInput name="name" defaultValue={`${name} scent`} maxLength={120} autoComplete="off" />
          </label>
          <UnstyledButton type="submit" name="intent" value="keep" disabled={isBusy} className={classes.act}>
            Keep it among the materials
          </UnstyledButton>
        </Form>
      )}
      <Form method="post">
        <input type="hidden" name="id" value={last.id} />
        <ConfirmButton
          name="intent"
          value="delete"
          disabled={isBusy}
          className={classes.away}
          question={`Delete ${name}?`}
          consequence="Its rounds and how they smelled are lost. Materials kept from it stay."
        >
          Delete the scent
        </ConfirmButton>
      </Form>
    </section>
  );
}
