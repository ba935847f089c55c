import { profiles, type Profile } from "@tensidrum/core/formula";
import type { FieldProblem } from "./typed/readTyped";
import type { TypedSheet } from "./typed/typedSheet";
import classes from "./AimHead.module.css";
import { SHEET_FORM } from "./sheetForm";

interface AimHeadProps {
  readonly typed: TypedSheet;
  readonly number: number;
  readonly isDraft: boolean;
  readonly problems: readonly FieldProblem[];
  readonly onChange: (field: "name" | "profile" | "batch", value: string) => void;
}

/** The aim at the head of the sheet: name, what it should be, how much of it. */
export function AimHead({ typed, number, isDraft, problems, onChange }: AimHeadProps) {
  const problemOf = (field: string) => problems.find((problem) => problem.field === field)?.message;
  return (
    <>
      <h1 className={classes.heading}>
        <Field problem={problemOf("name")} field="name">
          <input
            className={classes.name}
            form={SHEET_FORM}
            name="name"
            value={typed.name}
            readOnly={!isDraft}
            autoComplete="off"
            size={Math.min(34, Math.max(12, typed.name.length))}
            aria-label="Name of the formula"
            {...described(problemOf("name"), "name")}
            onChange={(event) => onChange("name", event.currentTarget.value)}
          />
        </Field>
      </h1>
      <span className={classes.version}>
        v{number}, {isDraft ? "draft" : "set"}
      </span>
      <Field problem={problemOf("profile")} field="profile">
        <select
          className={classes.choice}
          form={SHEET_FORM}
          name={isDraft ? "profile" : undefined}
          value={typed.profile}
          disabled={!isDraft}
          aria-label="What it should be"
          onChange={(event) => onChange("profile", event.currentTarget.value)}
        >
          {profiles.map((profile: Profile) => (
            <option key={profile.slug} value={profile.slug}>
              {profile.name}
            </option>
          ))}
        </select>
        {!isDraft && <input type="hidden" form={SHEET_FORM} name="profile" value={typed.profile} />}
      </Field>
      <Field problem={problemOf("batch")} field="batch">
        <label className={classes.batch}>
          batch
          <input
            form={SHEET_FORM}
            name="batch"
            value={typed.batch}
            readOnly={!isDraft}
            inputMode="decimal"
            autoComplete="off"
            size={Math.max(4, typed.batch.length)}
            {...described(problemOf("batch"), "batch")}
            onChange={(event) => onChange("batch", event.currentTarget.value)}
          />
          {/[a-z]\s*$/i.test(typed.batch) ? "" : "g"}
        </label>
      </Field>
    </>
  );
}

function Field({
  problem,
  field,
  children,
}: {
  readonly problem: string | undefined;
  readonly field: string;
  readonly children: React.ReactNode;
}) {
  return (
    <span className={classes.field}>
      {children}
      {problem !== undefined && (
        <span className={classes.problem} id={`problem-${field}`}>
          {problem}
        </span>
      )}
    </span>
  );
}

function described(problem: string | undefined, field: string) {
  return problem === undefined ? {} : { "aria-invalid": true, "aria-describedby": `problem-${field}` };
}
