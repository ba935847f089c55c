import { memo } from "react";
import { Button } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { NOTE_LENGTH } from "../typed/typedSheet";
import type { OpenSheet } from "../openSheet.server";
import classes from "./Versions.module.css";

interface VersionsProps {
  readonly sheet: OpenSheet;
}

/** Draft and set versions of this formula, and what can be done with the one shown. */
export const Versions = memo(function Versions({ sheet }: VersionsProps) {
  const { formulaId, versions, number: shown, state } = sheet;
  const draft = versions.find((version) => version.state === "draft");
  return (
    <section className={classes.versions} aria-labelledby="versions-head">
      <h2 id="versions-head" className={classes.head}>
        Versions
      </h2>
      <ol className={classes.list}>
        {versions.map((version) => (
          <li key={version.id} data-shown={version.number === shown || undefined}>
            {version.number === shown ? (
              <strong>v{version.number}</strong>
            ) : (
              <Link to={`/sheet/${formulaId}/${version.number}`}>v{version.number}</Link>
            )}
            <span>{version.state === "draft" ? "draft" : `set ${version.setOn ?? ""}`}</span>
            <span className={classes.percent}>{written(version.activePercent, 2)} %</span>
            {version.note !== "" && <q>{version.note}</q>}
          </li>
        ))}
      </ol>
      <p className={classes.doors}>
        {versions.length > 1 && (
          <Link
            to={`/sheet/${formulaId}/difference?from=${neighbour(sheet)}&to=${shown}`}
            data-act="What differs between versions"
            data-key="d"
          >
            What differs
          </Link>
        )}
        <a href={`/sheet/${formulaId}/${shown}/files/formula.json`} data-act="Download the formula as a file">
          File
        </a>
        <a href={`/sheet/${formulaId}/${shown}/files/lines.csv`} data-act="Download the lines as CSV">
          Lines as CSV
        </a>
        <Link to={`/sheet/${formulaId}/${shown}/card`} data-act="A card to hand on, to print or as text">
          Card
        </Link>
      </p>
      {state === "draft" ? <SetThis number={shown} /> : <GoOn formulaId={formulaId} number={shown} draftNumber={draft?.number} />}
      <p className={classes.doors}>
        <button type="submit" name="intent" value="branch" className={classes.quiet} data-act="Branch a trial">
          Branch a trial off v{shown}
        </button>
        <Link to={`/bench/practice/${formulaId}/${shown}`} data-act="Rehearse this version with stand-ins">
          Dry run
        </Link>
        {state === "set" && (
          <Link to={`/bench/begin/${formulaId}/${shown}`} data-act="Make a batch of this version" data-key="m">
            Make a batch
          </Link>
        )}
        {state === "set" && (
          <button type="submit" name="intent" value="as-material" className={classes.quiet} data-act="Keep this version as a material">
            Keep v{shown} as a material
          </button>
        )}
      </p>
      <ThrowAway isDraft={state === "draft"} number={shown} isOnly={versions.length === 1} />
    </section>
  );
});

/** The version to compare with: the one before, or the one after the first. */
function neighbour({ versions, number }: OpenSheet): number {
  const earlier = versions.filter((version) => version.number < number).map((version) => version.number);
  return earlier.length > 0
    ? Math.max(...earlier)
    : Math.min(...versions.filter((version) => version.number > number).map((version) => version.number));
}

function SetThis({ number }: { readonly number: number }) {
  return (
    <div className={classes.set}>
      <label htmlFor="note">Note for version {number}</label>
      <textarea
        id="note"
        name="note"
        data-act="Write a note for this version"
        rows={2}
        maxLength={NOTE_LENGTH}
        placeholder="what changed, and why"
      />
      <div className={classes.setRow}>
        <span>A set version never changes again.</span>
        <Button type="submit" name="intent" value="set" h={36}>
          Set version {number}
        </Button>
      </div>
    </div>
  );
}

function GoOn({
  formulaId,
  number,
  draftNumber,
}: {
  readonly formulaId: string;
  readonly number: number;
  readonly draftNumber: number | undefined;
}) {
  if (draftNumber !== undefined) {
    return (
      <p className={classes.hint}>
        This version is set. Work goes on in <Link to={`/sheet/${formulaId}/${draftNumber}`}>the draft, v{draftNumber}</Link>.{" "}
        <button type="submit" name="intent" value="restore" className={classes.quiet}>
          Put v{number} into the draft
        </button>
      </p>
    );
  }
  return (
    <div className={classes.setRow}>
      <span>This version is set and stays as it is.</span>
      <Button type="submit" name="intent" value="begin-draft" h={36}>
        Go on from v{number}
      </Button>
    </div>
  );
}

function ThrowAway({ isDraft, number, isOnly }: { readonly isDraft: boolean; readonly number: number; readonly isOnly: boolean }) {
  return (
    <details className={classes.away}>
      <summary>throw away</summary>
      {isDraft && !isOnly && (
        <button type="submit" name="intent" value="discard-draft">
          Throw draft v{number} away, keep the set versions
        </button>
      )}
      <button type="submit" name="intent" value="delete-formula">
        Throw the whole formula away, {isOnly ? "its only version" : "all versions"} with it
      </button>
    </details>
  );
}
