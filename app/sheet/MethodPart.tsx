import { Textarea } from "@mantine/core";
import { Link } from "react-router";
import { useSheet } from "./SheetState";
import { METHOD_LENGTH } from "./typed/typedSheet";

/** What is said of making it: the sentences of the recipe, or the maker's own. The steps take them up. */
export function MethodPart() {
  const { editor, isDraft, sheet, problems } = useSheet();
  const { method = "" } = editor.typed;
  const problem = problems.find(({ field }) => field === "method")?.message;
  const sentences = method.split("\n").filter((row) => row.trim() !== "").length;
  if (!isDraft && method === "") return null;
  return (
    <details>
      <summary>
        Method <small>{sentences === 0 ? "in your own words" : sentences === 1 ? "1 line" : `${sentences} lines`}</small>
      </summary>
      <Textarea
        name="method"
        aria-label="Method, in words"
        w="100%"
        autosize
        minRows={2}
        maxRows={14}
        maxLength={METHOD_LENGTH}
        readOnly={!isDraft}
        value={method}
        placeholder="Gum into the glycerin first. Stir 10 minutes."
        error={problem}
        onChange={({ currentTarget: { value } }) => editor.head("method", value)}
      />
      {sentences > 0 && (
        <p>
          <Link to={`/sheet/${sheet.formulaId}/${sheet.number}/steps`}>Make steps of it</Link>, with its times.
        </p>
      )}
    </details>
  );
}
