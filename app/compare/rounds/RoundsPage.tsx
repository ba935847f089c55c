import { Button, Grid, Group, Stack, Text, Textarea } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { Fold } from "../../components/Fold";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { compareStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import { ReadingFields } from "../readings/ReadingFields";
import type { OpenRounds } from "./rounds.server";
import type { TypedRounds } from "./roundsForms.server";
import classes from "./Rounds.module.css";

interface RoundsPageProps {
  readonly open: OpenRounds;
  readonly answered: FormAnswer<TypedRounds> | null;
}

/** The rounds of a formula as a line from first to last: what changed, what it did, what was learned, and what to try next. */
export function RoundsPage({ open, answered }: RoundsPageProps) {
  const { formulaId, name, rounds, together } = open;
  const beside = new URLSearchParams([
    ...rounds.slice(-5).map(({ number }) => ["of", `v:${formulaId}:${number}`]),
    ...(open.product === null ? [] : [["of", `p:${open.product.id}`]]),
  ]).toString();
  return (
    <Frame
      head={
        <>
          <PageHeader>{name}</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            its rounds
          </Text>
          {open.trialOf !== null && (
            <Text component="span" size="sm">
              a trial of <Link to={`/compare/rounds/${open.trialOf.formulaId}`}>{`${open.trialOf.name}, v${open.trialOf.number}`}</Link>
            </Text>
          )}
        </>
      }
      doors={
        <>
          <Link to="/compare">Compare</Link>
          <Link to={`/compare/side?${beside}`} data-act="The rounds side by side">
            Side by side
          </Link>
          <Link to={`/sheet/${formulaId}`}>Its Sheet</Link>
        </>
      }
      line={<StationNav stations={compareStations(rounds.length === 1 ? "one round" : `${rounds.length} rounds`)} />}
    >
      <title>{`Rounds of ${name}, Tensidrum`}</title>
      <Grid gap="xl">
        <Grid.Col span={{ base: 12, md: 7 }}>
          <ol className={classes.rounds} aria-label="Rounds">
            {rounds.map((round) => (
              <Round key={round.id} round={round} formulaId={formulaId} answered={answered} />
            ))}
          </ol>
        </Grid.Col>
        <Grid.Col span={{ base: 12, md: 5 }}>
          <Stack gap="xl">
            <Next open={open} answered={answered?.typed.intent === "take" ? answered : null} />
            {together.length > 0 && (
              <section aria-labelledby="together-head">
                <h2 id="together-head">Not told apart</h2>
                {together.map((words) => (
                  <Text key={words} m="0 0 6px">
                    {words}
                  </Text>
                ))}
              </section>
            )}
            <Hits open={open} />
          </Stack>
        </Grid.Col>
      </Grid>
    </Frame>
  );
}

interface RoundProps {
  readonly round: OpenRounds["rounds"][number];
  readonly formulaId: string;
  readonly answered: RoundsPageProps["answered"];
}

function Round({ round, formulaId, answered: all }: RoundProps) {
  const isBusy = useNavigation().state !== "idle";
  const { id, number, note, isDraft, when, from, brought, changed, did, near, learned, readings, batches, trials } = round;
  const answered = all?.typed.version === id ? all : null;
  return (
    <li className={classes.round} data-draft={isDraft || undefined}>
      <h2 className={classes.head}>
        <Link to={`/sheet/${formulaId}/${number}`}>v{number}</Link>{" "}
        <small>
          {[when, from === null ? "" : `from v${from}`].filter((word) => word !== "").join(", ")}
          {brought !== null && (
            <>
              , <Link to={`/compare/rounds/${brought.formulaId}`}>from its trial</Link>
            </>
          )}
          {batches.map(({ id: batch, code }) => (
            <span key={batch}>
              {" "}
              <Link to={`/bench/${batch}/record`}>{code}</Link>
            </span>
          ))}
        </small>
      </h2>
      {note !== "" && <Text m={0}>{note}</Text>}
      <Text m={0}>
        {changed} {did}
      </Text>
      {near !== null && (
        <Text m={0} fw={650}>
          {near.near} of {near.of} readings near to it
        </Text>
      )}
      {learned !== "" && (
        <Text m="4px 0 0" className={classes.learned}>
          <strong>Learned:</strong> {learned}
        </Text>
      )}
      <Fold summary={<>Measure v{number}, pin what was learned</>}>
        <Form method="post">
          <Stack gap="sm" mt="sm">
            <FormError>{sentenceAbove(answered)}</FormError>
            <input type="hidden" name="version" value={id} />
            <ReadingFields usual={answered?.typed ?? readings} answered={answered} />
            <Textarea name="learned" label="what was learned" rows={2} maxLength={500} defaultValue={answered?.typed.learned ?? learned} />
            <Text m={0} size="sm">
              What you leave empty is taken from its last finished batch.
            </Text>
            <Group>
              <Button type="submit" name="intent" value="readings" h={36} loading={isBusy}>
                Keep it
              </Button>
            </Group>
          </Stack>
        </Form>
      </Fold>
      {trials.map((trial) => (
        <Trial key={trial.formulaId} trial={trial} answered={all} />
      ))}
    </li>
  );
}

interface TrialProps {
  readonly trial: OpenRounds["rounds"][number]["trials"][number];
  readonly answered: RoundsPageProps["answered"];
}

/** A trial beside the line it began from, with its own rounds; a final one can be brought back. */
function Trial({ trial: { formulaId, name, rounds }, answered }: TrialProps) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <section className={classes.trial} aria-label={`Trial: ${name}`}>
      <Text m={0}>
        Trial: <Link to={`/compare/rounds/${formulaId}`}>{name}</Link>
      </Text>
      <ol className={classes.rounds}>
        {rounds.map(({ id, number, isDraft, changed, did, near, backAs }) => (
          <li key={id} className={classes.round} data-draft={isDraft || undefined}>
            <Text m={0}>
              <Link to={`/sheet/${formulaId}/${number}`}>v{number}</Link>
              {isDraft && " draft"}: {changed} {did}
              {near !== null && ` ${near.near} of ${near.of} readings near to it.`}
            </Text>
            {backAs !== null && (
              <Text m={0} fw={650}>
                Brought back as v{backAs}
              </Text>
            )}
            {backAs === null && !isDraft && (
              <Form method="post">
                <input type="hidden" name="version" value={id} />
                <FormError>{sentenceAbove(answered?.typed.version === id ? answered : null)}</FormError>
                <Button
                  type="submit"
                  name="intent"
                  value="bring"
                  h={32}
                  variant="outline"
                  disabled={isBusy}
                  aria-label={`Bring ${name}, v${number} back`}
                >
                  Bring it back as the next version
                </Button>
              </Form>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** One change that would bring it nearest, each with its source and range. */
function Next({
  open: { next, product, closeTo, rounds },
  answered,
}: {
  readonly open: OpenRounds;
  readonly answered: RoundsPageProps["answered"];
}) {
  const isBusy = useNavigation().state !== "idle";
  return (
    <section aria-labelledby="next-head">
      <h2 id="next-head">One change for v{(rounds.at(-1)?.number ?? 0) + 1}</h2>
      <FormError>{sentenceAbove(answered)}</FormError>
      {product === null ? (
        <Text m={0}>
          {closeTo === "" ? "Say on the Sheet what it should come close to" : `“${closeTo}” is not kept yet`}, and{" "}
          <Link to="/compare/products/new">keep that product with what you measured of it</Link>. Then the next change can be told.
        </Text>
      ) : next === null ? (
        <Text m={0}>Measure a round first: pH, thickness, foam, feel. Then the next change can be told.</Text>
      ) : next.changes.length === 0 ? (
        <Text m={0}>
          Nothing that is known brings v{next.from} nearer to {product.name}. Measure more, or change one line alone and see.
        </Text>
      ) : (
        <ul className={classes.changes}>
          {next.changes.map(({ material, to, source, words }) => (
            <li key={material}>
              <Form method="post">
                <input type="hidden" name="material" value={material} />
                <input type="hidden" name="to" value={String(to)} />
                <Text m={0}>
                  {words} <small>{source === "own" ? "by your own rounds, estimate" : "by a model, estimate"}</small>
                </Text>
                <Button
                  type="submit"
                  name="intent"
                  value="take"
                  h={32}
                  variant="outline"
                  disabled={isBusy || !next.canTake}
                  aria-label={`Take it: ${words}`}
                >
                  Take it into a new draft
                </Button>
              </Form>
            </li>
          ))}
        </ul>
      )}
      {next !== null && next.changes.length > 0 && (
        <Fold summary="where this comes from">
          <Text m="4px 0" size="sm">
            A step is what the reading lacks divided by what one percent did in your own rounds, at most twice what you tried and within the
            usual dose. The range holds four times of five. Where your rounds tell nothing, a model does: take it as rough.
          </Text>
        </Fold>
      )}
    </section>
  );
}

function Hits({ open: { hits, counted } }: { readonly open: OpenRounds }) {
  if (hits.length === 0) return null;
  return (
    <section aria-labelledby="hits-head">
      <h2 id="hits-head">
        What was suggested <small>{`${counted.right} came true, ${counted.wrong} did not`}</small>
      </h2>
      <ul className={classes.changes}>
        {hits.map(({ number, sentence, cameTrue }) => (
          <li key={number}>
            v{number}: {sentence}. <strong>{cameTrue === null ? "not measured yet" : cameTrue ? "✓ came true" : "✗ did not"}</strong>
          </li>
        ))}
      </ul>
    </section>
  );
}
