import { READ_AT_C, written, writtenShort } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { FindingMark } from "../components/FindingMark";
import { PartLinks } from "../components/PartLinks";
import { PageHeader } from "../components/PageHeader";
import { DueChecks } from "../frame/dueChecks/DueChecks";
import { Frame } from "../frame/Frame";
import { stationsSeenFrom } from "../frame/stationNav/stations";
import { StationNav } from "../frame/stationNav/StationNav";
import { Neck } from "../pictures/Neck/Neck";
import { Empty, NewFormula } from "./Begin";
import { Coming } from "./Coming";
import type { TodayBoard } from "./today.server";
import classes from "./Today.module.css";

/** The home board: the day, and every formula with what must be fixed in it. */
export function Today({ board }: { readonly board: TodayBoard }) {
  const { formulas, total, older, isNewest } = board;
  const stops = formulas.reduce((sum, { counts }) => sum + counts.stops, 0);
  const fixes = formulas.reduce((sum, { counts }) => sum + counts.fixes, 0);
  const first = formulas[0];
  return (
    <Frame
      head={<PageHeader>Today</PageHeader>}
      doors={
        <>
          <Link to="/import">Import formula</Link>
          <NewFormula ids={board.newIds} />
        </>
      }
      line={
        <StationNav
          stations={stationsSeenFrom(null, {
            to: first === undefined ? null : `/sheet/${first.id}`,
            state: sheetWords({ total, stops, fixes }),
            isAlarm: stops + fixes > 0,
          })}
        />
      }
    >
      <title>Today, Tensidrum</title>
      <div className={classes.board}>
        <p className={classes.date}>
          <span className={classes.day}>{board.day}</span>
          <span>
            <span className={classes.weekday}>{board.weekday}</span>
            <span className={classes.month}>{board.month}</span>
          </span>
        </p>
        <section className={classes.due} aria-label="Needs attention">
          <Alarms alarms={board.alarms} />
          {total === 0 && board.batches.length + board.discards.length + board.checks.length === 0 && (
            <p className={classes.sentence}>Nothing resting, nothing due.</p>
          )}
          <Batches batches={board.batches} />
          <Finished finished={board.finishedToday} />
          {total > 0 && <DaySentence formulas={formulas} />}
          <Discards discards={board.discards} />
          <Checks checks={board.checks} more={board.moreChecks} />
          {board.checks.length > 0 && <DueChecks />}
          <ToFill toFill={board.toFill} />
          {board.calibratedDaysAgo !== null && (
            <p className={classes.also}>Calibrate the meter before you read: the last time was {board.calibratedDaysAgo} days ago.</p>
          )}
          {board.room !== null && (
            <p className={classes.also}>
              The bench room had {board.room.degrees} °C at {board.room.at}. Bring samples to {READ_AT_C.low} to {READ_AT_C.high} °C before
              you read pH and thickness.
            </p>
          )}
          {board.lan !== null && <WayIn lan={board.lan} />}
        </section>
      </div>
      {board.coming.length > 0 && <Coming board={board} />}
      {total === 0 ? (
        <Empty ids={board.newIds} />
      ) : (
        <ul className={classes.formulas} aria-label="Formulas">
          {formulas.map((formula) => (
            <FormulaRow key={formula.id} formula={formula} />
          ))}
        </ul>
      )}
      <PartLinks of="formulas" newest={isNewest ? null : "/"} older={older === null ? null : `/?behind=${older}`} />
    </Frame>
  );
}

/** What has moved too far in bottles that are out. */
function Alarms({ alarms }: { readonly alarms: TodayBoard["alarms"] }) {
  if (alarms.length === 0) return null;
  return (
    <ul className={classes.batches} aria-label="Alarms" role="list">
      {alarms.map(({ batchId, code, name, bottles, text, discard }) => (
        <li key={batchId} className={classes.alarm}>
          <strong>
            <Link to={`/watch/${batchId}`}>
              {discard
                ? `Set ${bottles === 0 ? "all" : bottles === 1 ? "the one bottle" : `the ${bottles} bottles`} of ${name} aside`
                : `Look at ${name}`}
            </Link>
          </strong>{" "}
          {code}: {text}
        </li>
      ))}
    </ul>
  );
}

/** Batches that are finished and in no container yet. */
function ToFill({ toFill }: { readonly toFill: TodayBoard["toFill"] }) {
  if (toFill.length === 0) return null;
  return (
    <ul className={classes.batches} aria-label="To fill">
      {toFill.map(({ id, code, name }) => (
        <li key={id}>
          Fill <Link to={`/fill/${id}`}>{code}</Link>, {name}: it is finished
        </li>
      ))}
    </ul>
  );
}

/** What was finished today, and when it is looked at next. */
function Finished({ finished }: { readonly finished: TodayBoard["finishedToday"] }) {
  if (finished.length === 0) return null;
  return (
    <ul className={classes.batches} aria-label="Finished today">
      {finished.map(({ id, code, name, next }) => (
        <li key={id}>
          <Link to={`/bench/${id}/record`}>{code}</Link> {name} is finished.{" "}
          {next === null ? (
            <Link to={`/watch/${id}`}>Put a sample aside to watch it</Link>
          ) : (
            <>
              Next <Link to={next.to}>{next.words}</Link>, {next.day}
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What was made here and is past its day. */
function Discards({ discards }: { readonly discards: TodayBoard["discards"] }) {
  if (discards.length === 0) return null;
  return (
    <ul className={classes.batches} aria-label="To discard">
      {discards.map(({ id, slug, name, code, since }) => (
        <li key={id}>
          Discard <Link to={`/shelf/${slug}`}>{name}</Link> {code}: its day was <strong>{since}</strong>
        </li>
      ))}
    </ul>
  );
}

/** Samples that are to be looked at today or were. */
function Checks({ checks, more }: { readonly checks: TodayBoard["checks"]; readonly more: number }) {
  if (checks.length === 0) return null;
  return (
    <ul className={classes.batches} aria-label="Samples to look at">
      {checks.map(({ id, batchId, storage, title, code, isLate }) => (
        <li key={id}>
          Look at <Link to={`/watch/${batchId}?sample=${storage}`}>{code}</Link>, {title.toLowerCase()}, {storage}
          {isLate && <strong>, was due</strong>}
        </li>
      ))}
      {more > 0 && (
        <li>
          and <Link to="/watch">{more} more looks</Link>
        </li>
      )}
    </ul>
  );
}

/** What is on the bench, and what rests in it until when. */
function Batches({ batches }: { readonly batches: TodayBoard["batches"] }) {
  if (batches.length === 0) return null;
  return (
    <ul className={classes.batches} aria-label="On the bench">
      {batches.map(({ id, code, name, through, steps, rests }) => (
        <li key={id}>
          <Link to={`/bench/${id}`}>{code}</Link> {name},{" "}
          {rests.length === 0
            ? `${through} of ${steps} steps done`
            : rests.map(({ id: rest, text, until }) => (
                <span key={rest}>
                  {text.charAt(0).toLowerCase() + text.slice(1)} until <strong>{until}</strong>{" "}
                </span>
              ))}
        </li>
      ))}
    </ul>
  );
}

/** How a tablet on the bench gets in, told on this machine alone. */
function WayIn({ lan: { code, addresses, wrong, lastWrong, devices } }: { readonly lan: NonNullable<TodayBoard["lan"]> }) {
  return (
    <div className={classes.wayIn}>
      <p>
        A tablet gets in at <strong>{addresses.join(" or ") || "this machine's address"}</strong> with the code{" "}
        <output className={classes.code}>{`${code.slice(0, 4)} ${code.slice(4)}`}</output>
      </p>
      <p>
        {devices === 1 ? "1 device is" : `${devices} devices are`} <Link to="/settings#devices">paired</Link>.
        {wrong > 0 && ` ${wrong} wrong ${wrong === 1 ? "code" : "codes"} so far, the last from ${lastWrong?.from ?? "somewhere"}.`} The
        browser warns of the certificate once: it is this machine&rsquo;s own.
      </p>
    </div>
  );
}

function sheetWords({ total, stops, fixes }: { readonly total: number; readonly stops: number; readonly fixes: number }): string {
  if (total === 0) return "nothing in it yet";
  if (stops > 0) return `${stops} to stop for`;
  if (fixes > 0) return `${fixes} to fix`;
  return total === 1 ? "1 formula" : `${total} formulas`;
}

type BoardFormula = TodayBoard["formulas"][number];

/** What the day asks for, in a sentence, and the first door to it. */
function DaySentence({ formulas }: { readonly formulas: readonly BoardFormula[] }) {
  const stopped = formulas.find(({ counts }) => counts.stops > 0);
  const broken = stopped ?? formulas.find(({ counts }) => counts.fixes > 0);
  const ready = formulas.find(({ counts }) => counts.stops + counts.fixes === 0);
  if (broken !== undefined) {
    return (
      <p className={classes.sentence}>
        <Link to={`/sheet/${broken.id}`}>{broken.name}</Link>{" "}
        {stopped === undefined ? "has something to fix" : "must not be made as it stands"}.
      </p>
    );
  }
  if (ready === undefined) return null;
  return (
    <p className={classes.sentence}>
      No issues. <Link to={`/weighing/${ready.id}/${ready.number}`}>{ready.name}</Link> can be weighed.
    </p>
  );
}

function FormulaRow({ formula }: { readonly formula: BoardFormula }) {
  const { counts, findings } = formula;
  const hidden = counts.stops + counts.fixes - findings.length;
  return (
    <li className={classes.formula}>
      <div>
        <h2 className={classes.name}>
          <Link to={`/sheet/${formula.id}`}>{formula.name}</Link>
        </h2>
        <p className={classes.state}>
          v{formula.number}, {formula.isDraft ? "draft" : "final"} · {formula.profile}
        </p>
        <p className={classes.state}>
          {formula.lineCount} lines · batch {formula.batch} · {formula.changed}
        </p>
      </div>
      <div className={classes.active}>
        <Neck actives={formula.actives} window={formula.window} />
        <p>
          <span className={classes.number}>{written(formula.activePercent, 2)}</span>
          <span>
            % active, window {writtenShort(formula.window.low, 2)} to {writtenShort(formula.window.high, 2)}
          </span>
        </p>
      </div>
      <div className={classes.findings}>
        {findings.length === 0 && <p className={classes.fine}>No issues.</p>}
        {findings.map((finding, index) => (
          <p key={`${finding.code} ${finding.what}`}>
            <FindingMark severity={finding.severity} number={index + 1} />
            <span>
              <strong>{finding.what}</strong> {finding.cure}
            </span>
          </p>
        ))}
        {hidden + counts.considers > 0 && <p className={classes.more}>{moreWords(hidden, counts.considers)}</p>}
        <p className={classes.doors}>
          <Link to={`/weighing/${formula.id}/${formula.number}`}>Weighing sheet</Link>
        </p>
      </div>
    </li>
  );
}

function moreWords(toFix: number, toConsider: number): string {
  const parts = [...(toFix > 0 ? [`${toFix} more to fix`] : []), ...(toConsider > 0 ? [`${toConsider} to consider`] : [])];
  return parts.join(", ");
}
