import { Button, TextInput } from "@mantine/core";
import { changeStep } from "./editSteps";
import { focusOn } from "./focusOn";
import classes from "./Steps.module.css";
import type { StepsState } from "./useSteps";

/** What the rules would do otherwise, each with a place for the maker's reason. */
export function ProcessFindings({ state, words }: { readonly state: StepsState; readonly words: (at: number) => string }) {
  const { findings, process, change } = state;
  if (findings.length === 0) return <p>No issues: the order is as good as the suggested one.</p>;
  return (
    <ol className={classes.findings}>
      {findings.map((finding, at) => (
        <li key={`${finding.code} ${finding.step}`} data-severity={finding.severity}>
          <p>
            <strong>{finding.severity}</strong> {words(at)}
          </p>
          {finding.code !== "left-out" && (
            <form
              onSubmit={(event) => {
                event.preventDefault();
                const because = String(new FormData(event.currentTarget).get("because") ?? "").trim();
                if (because === "") return;
                change(changeStep(process, finding.step, (own) => ({ ...own, because })));
                focusOn("rules-head");
              }}
            >
              <TextInput name="because" label="Keep it, because" maxLength={200} autoComplete="off" />
              <Button type="submit" h={36} variant="default">
                Keep it
              </Button>
            </form>
          )}
        </li>
      ))}
    </ol>
  );
}
