import { Group, Stack, Text, UnstyledButton } from "@mantine/core";
import { readyToFill, type ReadyCheck } from "@tensidrum/core/packaging";
import { Link } from "react-router";
import quiet from "../../components/quiet.module.css";
import { stateOfView } from "../batch/batchView";
import { useBench } from "../step/bench";
import { ClockTime } from "../step/ClockTime";
import { Entry } from "../step/Entry";

/** What is looked at before the first container is filled. */
export function ReadyList() {
  const { plan, view, now } = useBench();
  const checks = readyToFill(plan, stateOfView(view), now);
  const open = checks.filter(({ state }) => state !== "done").length;
  // What was not read before the batch was closed cannot be made good here: it is said once.
  const missed = view.finished === null ? [] : checks.filter(isRead).filter(({ state }) => state === "open");
  const shown = checks.filter((check) => !missed.some((one) => one === check));
  return (
    <section aria-labelledby="ready-head">
      <h2 id="ready-head">Ready to fill?</h2>
      <Text size="sm" c="var(--ink-2)" role="status">
        {open === 0 ? "All looked at." : `${open} to look at. Nothing of it is a must.`}
      </Text>
      <Stack component="ul" gap="xs" m={0} p={0} style={{ listStyle: "none" }}>
        {shown.map((check) => (
          <li key={`${check.check} ${"row" in check ? check.row : ""}`}>
            <Group gap="sm" align="baseline" wrap="nowrap">
              <Text component="span" miw={62} fw={600} c={check.state === "done" ? "var(--water)" : "var(--signal)"}>
                {check.state === "done" ? "done" : check.state === "failed" ? "failed" : "open"}
              </Text>
              <span>
                <CheckWords check={check} />
              </span>
            </Group>
          </li>
        ))}
      </Stack>
      {missed.length > 0 && (
        <Text c="var(--ink-2)">Not read on the rested batch: {missed.map(({ check }) => readWords[check]).join(", ")}.</Text>
      )}
    </section>
  );
}

const readWords = { ph: "pH", thickness: "thickness", clarity: "clarity" } as const;

type ReadCheck = Extract<ReadyCheck, { readonly check: keyof typeof readWords }>;

function isRead(check: ReadyCheck): check is ReadCheck {
  return check.check in readWords;
}

function CheckWords({ check }: { readonly check: ReadyCheck }) {
  const { view } = useBench();
  switch (check.check) {
    case "rest":
      return check.until === null ? (
        <>It has rested.</>
      ) : (
        <>
          It rests until <ClockTime at={check.until} />. Bubbles rise, and only then is it judged.
        </>
      );
    case "ph":
    case "thickness":
    case "clarity":
      return (
        <>
          {readWords[check.check]} on the rested batch
          {check.state === "open" && view.finished === null && (
            <>
              : <Link to={`/bench/${view.id}`}>read it at the bench</Link>
            </>
          )}
        </>
      );
    case "clean":
      return check.state === "done" ? (
        <>Containers are clean and dry.</>
      ) : (
        <>
          Containers clean, disinfected and dry? <Seen check="clean">They are</Seen>{" "}
          <Seen check="refill">One is a refill of the same formula</Seen>
        </>
      );
    case "refill":
      return <>A refill: the old rest is out, the bottle washed and dried, and it gets the new date.</>;
    case "suits":
      return (
        <>
          {check.name}: {check.tooThick ? "this wash is too thick for it" : "this wash is thin for it"} (rule of thumb). Try one.
        </>
      );
    case "trial":
      return (
        <>
          {check.name}: {check.state === "done" ? "the first one works" : check.text}
        </>
      );
  }
}

function Seen({ check, children }: { readonly check: "clean" | "refill"; readonly children: string }) {
  const { isGuarded } = useBench();
  return (
    <Entry hidden={{ check }}>
      <UnstyledButton type="submit" name="intent" value="check-filling" disabled={isGuarded} className={quiet.quiet}>
        {children}
      </UnstyledButton>
    </Entry>
  );
}
