import { Textarea } from "@mantine/core";
import { memo } from "react";
import { Link } from "react-router";
import { useSheet } from "./SheetState";
import { METHOD_LENGTH } from "./typed/typedSheet";

const [LEAST_ROWS, MOST_ROWS] = [2, 14];

/** What is said of making it: the sentences of the recipe, or the maker's own. The steps take them up. */
export function MethodPart() {
  const { editor, isDraft, sheet, problems } = useSheet();
  const { method = "" } = editor.typed;
  const problem = problems.find(({ field }) => field === "method")?.message;
  if (!isDraft && method === "") return null;
  const steps = `/sheet/${sheet.formulaId}/${sheet.number}/steps`;
  return <Method {...{ method, isDraft, problem, steps }} onType={editor.head} />;
}

interface MethodProps {
  readonly method: string;
  readonly isDraft: boolean;
  readonly problem: string | undefined;
  /** Where its steps are. */
  readonly steps: string;
  readonly onType: (field: "method", value: string) => void;
}

const Method = memo(function Method({ method, isDraft, problem, steps, onType }: MethodProps) {
  const sentences = method.split("\n").filter((row) => row.trim() !== "").length;
  return (
    <details>
      <summary>
        Method <small>{sentences === 0 ? "in your own words" : sentences === 1 ? "1 line" : `${sentences} lines`}</small>
      </summary>
      <Textarea
        name="method"
        aria-label="Method, in words"
        w="100%"
        rows={Math.min(MOST_ROWS, Math.max(LEAST_ROWS, method.split("\n").length))}
        maxLength={METHOD_LENGTH}
        readOnly={!isDraft}
        value={method}
        placeholder="Gum into the glycerin first. Stir 10 minutes."
        error={problem}
        onChange={({ currentTarget: { value } }) => onType("method", value)}
      />
      {sentences > 0 && (
        <p>
          <Link to={steps}>Make steps of it</Link>, with its times.
        </p>
      )}
    </details>
  );
});
