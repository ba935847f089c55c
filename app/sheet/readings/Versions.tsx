import { memo, useEffect, useRef } from "react";
import { ConfirmButton } from "../../components/ConfirmButton";
import { Button, Textarea, UnstyledButton } from "@mantine/core";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { NOTE_LENGTH } from "../typed/typedSheet";
import { useReadingsInSight } from "../JudgedSheet";
import type { OpenSheet } from "../openSheet.server";
import { resultWords } from "../versions/resultWords";
import classes from "./Versions.module.css";

interface VersionsProps {
  readonly sheet: OpenSheet;
}

/** Active matter of what is typed, saved or not. */
function ActiveNow() {
  const { shown } = useReadingsInSight(false);
  return written(shown.activeMatter.percent, 2);
}

/** Draft and final versions of this formula, and what can be done with the one shown. */
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
            <span>{version.state === "draft" ? "draft" : `final ${version.finalisedOn ?? ""}`}</span>
            <span className={classes.percent}>
              {version.state === "draft" && version.number === shown ? <ActiveNow /> : written(version.activePercent, 2)} %
            </span>
            {version.note !== "" && <q>{version.note}</q>}
            {version.made !== null && <Made made={version.made} />}
          </li>
        ))}
      </ol>
      <p className={classes.doors}>
        {versions.length > 1 && (
          <Link to={`/sheet/${formulaId}/difference?from=${neighbour(sheet)}&to=${shown}`} data-act="Compare versions" data-key="d">
            Compare versions
          </Link>
        )}
        <Link to={`/compare/rounds/${formulaId}`} data-act="Its rounds, and what to try next">
          Rounds
        </Link>
        <Link to={`/sheet/${formulaId}/costs`} data-act="What the versions cost">
          Costs
        </Link>
        <a href={`/sheet/${formulaId}/${shown}/files/formula.json`} data-act="Download the formula as a file">
          File
        </a>
        <a href={`/sheet/${formulaId}/${shown}/files/lines.csv`} data-act="Download the lines as CSV">
          Lines as CSV
        </a>
        <Link to={`/sheet/${formulaId}/${shown}/card`} data-act="Formula card, to print or as text">
          Card
        </Link>
      </p>
      {state === "draft" ? (
        <Finalise number={shown} note={sheet.note} />
      ) : (
        <NewDraftFrom formulaId={formulaId} number={shown} draftNumber={draft?.number} />
      )}
      <p className={classes.doors}>
        <UnstyledButton type="submit" name="intent" value="branch" className={classes.quiet} data-act="New trial from this version">
          New trial from v{shown}
        </UnstyledButton>
        <Link to={`/bench/practice/${formulaId}/${shown}`} data-act="Practice run of this version">
          Practice run
        </Link>
        {state === "final" && (
          <Link to={`/bench/begin/${formulaId}/${shown}`} data-act="Make a batch of this version" data-key="m">
            Make a batch
          </Link>
        )}
        {state === "final" && (
          <UnstyledButton
            type="submit"
            name="intent"
            value="as-material"
            className={classes.quiet}
            data-act="Store this version as a material"
          >
            Store v{shown} as a material
          </UnstyledButton>
        )}
      </p>
      <DeleteVersion isDraft={state === "draft"} number={shown} isOnly={versions.length === 1} />
    </section>
  );
});

/** What came of the last batch of a version. */
function Made({ made }: { readonly made: NonNullable<OpenSheet["versions"][number]["made"]> }) {
  return (
    <span className={classes.made}>
      <Link to={`/bench/${made.id}/record`}>{made.code}</Link> {resultWords(made)}
    </span>
  );
}

/** The version to compare with: the one before, or the one after the first. */
function neighbour({ versions, number }: OpenSheet): number {
  const earlier = versions.filter((version) => version.number < number).map((version) => version.number);
  return earlier.length > 0
    ? Math.max(...earlier)
    : Math.min(...versions.filter((version) => version.number > number).map((version) => version.number));
}

function Finalise({ number, note }: { readonly number: number; readonly note: string }) {
  const field = useRef<HTMLTextAreaElement>(null);
  const known = useRef(note);
  // What joins the note while the page stands joins what is typed there.
  useEffect(() => {
    const before = known.current;
    known.current = note;
    if (field.current === null || note === before) return;
    const typed = field.current.value;
    const added = note.startsWith(before) ? note.slice(before.length) : `\n${note}`;
    field.current.value = typed === before ? note : `${typed}${added}`.trimStart().slice(0, NOTE_LENGTH);
  }, [note]);
  return (
    <div className={classes.set}>
      <label htmlFor="note">Note for version {number}</label>
      <Textarea
        ref={field}
        id="note"
        name="note"
        data-act="Write a note for this version"
        rows={2}
        maxLength={NOTE_LENGTH}
        defaultValue={note}
        placeholder="what changed, and why"
      />
      <div className={classes.setRow}>
        <span>A final version never changes.</span>
        <Button type="submit" name="intent" value="finalise" h={36}>
          Finalise version {number}
        </Button>
      </div>
    </div>
  );
}

function NewDraftFrom({
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
        This version is final. Continue in <Link to={`/sheet/${formulaId}/${draftNumber}`}>the draft, v{draftNumber}</Link>.{" "}
        <UnstyledButton type="submit" name="intent" value="restore" className={classes.quiet}>
          Copy v{number} into the draft
        </UnstyledButton>
      </p>
    );
  }
  return (
    <div className={classes.setRow}>
      <span>This version is final and does not change.</span>
      <Button type="submit" name="intent" value="begin-draft" h={36}>
        New draft from v{number}
      </Button>
    </div>
  );
}

function DeleteVersion({ isDraft, number, isOnly }: { readonly isDraft: boolean; readonly number: number; readonly isOnly: boolean }) {
  return (
    <p className={classes.away}>
      {isDraft && !isOnly && (
        <ConfirmButton
          name="intent"
          value="discard-draft"
          className={classes.quiet}
          question={`Delete draft v${number}?`}
          consequence="What is typed in it is lost. The final versions stay."
        >
          Delete draft v{number}
        </ConfirmButton>
      )}
      <ConfirmButton
        name="intent"
        value="delete-formula"
        className={classes.quiet}
        question="Delete the formula?"
        consequence={`It goes with ${isOnly ? "its only version" : "all versions"} and cannot be brought back. Records of its batches stay.`}
      >
        Delete formula
      </ConfirmButton>
    </p>
  );
}
