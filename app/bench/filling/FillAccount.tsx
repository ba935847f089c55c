import { Group, Text, TextInput, UnstyledButton } from "@mantine/core";
import type { Filling } from "@tensidrum/core/process";
import { written } from "@tensidrum/core/quantities";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import quiet from "../../components/quiet.module.css";
import { NumberField } from "../../components/NumberField";
import { useBench } from "../step/bench";
import { BigButton } from "../step/BigButton";
import { Entry } from "../step/Entry";

const useWords = { use: "", tester: "tester", retained: "kept to watch" } as const;

/** Where all of it went: mass in is mass out, or it says what is left. */
export function FillAccount({ filling }: { readonly filling: Filling }) {
  const { view, queue, isGuarded } = useBench();
  const { rows, parts, toFillGrams, isYieldKnown, filledGrams, lostGrams, leftGrams } = filling;
  const last = view.standing.findLast(({ kind }) => kind === "container-filled" || kind === "fill-lost" || kind === "container-tried");
  const isMore = leftGrams < -0.05;
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="account-head">
      <h3 id="account-head">Where it went</h3>
      <DataTable isRuled>
        <tbody>
          {rows.map(({ id, name, use, count, filled, grams, tried, part }) => (
            <tr key={id}>
              <th scope="row">
                {filled.length} of {Math.max(count, filled.length)} {name}
                {part !== undefined && <em> {part}</em>}
                {use !== "use" && <small> {useWords[use]}</small>}
                {tried?.works === false && <small> does not work: {tried.text}</small>}
              </th>
              <td data-number>{written(grams, 1)} g each</td>
              <td data-number>{written(sum(filled), 1)} g</td>
            </tr>
          ))}
          {parts.length > 1 &&
            parts.map(({ part, toFillGrams: there, filledGrams: gone }) => (
              <tr key={part ?? ""}>
                <th scope="row">
                  <em>{part ?? "the rest of the base"}</em> still in its beaker
                </th>
                <td data-number>of {written(there, 1)} g</td>
                <td data-number>{written(there - gone, 1)} g</td>
              </tr>
            ))}
          {lostGrams > 0 && (
            <tr>
              <th scope="row">lost</th>
              <td />
              <td data-number>{written(lostGrams, 1)} g</td>
            </tr>
          )}
          <tr>
            <th scope="row">{isMore ? "more than there was" : parts.length > 1 ? "not filled, all together" : "still in the beaker"}</th>
            <td />
            <td data-number>
              <strong>{written(Math.abs(leftGrams), 1)} g</strong>
            </td>
          </tr>
        </tbody>
      </DataTable>
      <Text size="sm" c="var(--ink-2)">
        {written(toFillGrams, 1)} g {isYieldKnown ? "of yield" : "by what was weighed in: the yield is not weighed yet"} ={" "}
        {written(filledGrams, 1)} g filled{lostGrams > 0 && ` + ${written(lostGrams, 1)} g lost`}{" "}
        {isMore ? `− ${written(-leftGrams, 1)} g` : `+ ${written(leftGrams, 1)} g left`}.
        {isMore && " Look whether a container was weighed with its tare, or the yield is wrong."}
      </Text>
      <Text>
        {queue.waiting.length > 0 ? (
          "Labels come when all is stored."
        ) : (
          <>
            <Link to={`/fill/${view.id}/label`} data-act="Labels of this batch">
              Labels
            </Link>{" "}
            for what is filled
          </>
        )}
      </Text>
      <Group gap="xl" align="end">
        <Entry>
          <Group gap="sm" align="end">
            <NumberField name="grams" label="lost" unit="g" w={110} />
            <TextInput name="text" label="where" maxLength={200} autoComplete="off" placeholder="left in the funnel" />
            <BigButton intent="lose-filling" act="Enter what was lost while filling">
              Enter
            </BigButton>
          </Group>
        </Entry>
        {last !== undefined && (
          <Entry hidden={{ entry: last.id }}>
            <UnstyledButton
              type="submit"
              name="intent"
              value="back"
              disabled={isGuarded}
              className={quiet.quiet}
              data-act="Take the last entry of the filling back"
            >
              Take the last one back
            </UnstyledButton>
          </Entry>
        )}
      </Group>
    </section>
  );
}

function sum(filled: readonly { readonly grams: number }[]): number {
  return filled.reduce((total, { grams }) => total + grams, 0);
}
