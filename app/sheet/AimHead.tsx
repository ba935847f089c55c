import { TextInput, NativeSelect } from "@mantine/core";
import { profiles, type Profile } from "@tensidrum/core/formula";
import { memo, type ReactNode } from "react";
import classes from "./AimHead.module.css";
import { SHEET_FORM } from "./sheetForm";

interface AimHeadProps {
  readonly name: string;
  readonly profile: string;
  readonly batch: string;
  readonly number: number;
  readonly isDraft: boolean;
  readonly nameProblem: string | undefined;
  readonly profileProblem: string | undefined;
  readonly batchProblem: string | undefined;
  readonly onChange: (field: "name" | "profile" | "batch", value: string) => void;
}

/** The aim at the head of the sheet: name, what it should be, how much of it. */
export const AimHead = memo(function AimHead(props: AimHeadProps) {
  const { name, profile: chosen, batch, number, isDraft, nameProblem, profileProblem, batchProblem, onChange } = props;
  return (
    <>
      <h1 className={classes.heading}>
        <Field problem={nameProblem} field="name">
          <TextInput
            variant="unstyled"
            classNames={{ input: classes.name }}
            form={SHEET_FORM}
            name="name"
            value={name}
            readOnly={!isDraft}
            autoComplete="off"
            placeholder="Untitled formula"
            inputSize={String(Math.min(34, Math.max(12, (name || "Untitled formula").length)))}
            aria-label="Name of the formula"
            {...described(nameProblem, "name")}
            onChange={(event) => onChange("name", event.currentTarget.value)}
          />
        </Field>
      </h1>
      <span className={classes.version}>
        v{number}, {isDraft ? "draft" : "final"}
      </span>
      <Field problem={profileProblem} field="profile">
        <NativeSelect
          variant="unstyled"
          classNames={{ input: classes.choice }}
          form={SHEET_FORM}
          name={isDraft ? "profile" : undefined}
          value={chosen}
          disabled={!isDraft}
          aria-label="What it should be"
          onChange={(event) => onChange("profile", event.currentTarget.value)}
        >
          {profiles.map((profile: Profile) => (
            <option key={profile.slug} value={profile.slug}>
              {profile.name}
            </option>
          ))}
        </NativeSelect>
        {!isDraft && <input type="hidden" form={SHEET_FORM} name="profile" value={chosen} />}
      </Field>
      <Field problem={batchProblem} field="batch">
        <label className={classes.batch}>
          batch
          <TextInput
            variant="unstyled"
            form={SHEET_FORM}
            name="batch"
            value={batch}
            readOnly={!isDraft}
            inputMode="decimal"
            autoComplete="off"
            inputSize={String(Math.max(4, batch.length))}
            {...described(batchProblem, "batch")}
            onChange={(event) => onChange("batch", event.currentTarget.value)}
          />
          {/[a-z]\s*$/i.test(batch) ? "" : "g"}
        </label>
      </Field>
    </>
  );
});

function Field({
  problem,
  field,
  children,
}: {
  readonly problem: string | undefined;
  readonly field: string;
  readonly children: ReactNode;
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
