import { Group, Text, TextInput } from "@mantine/core";
import { containerFacts, netVerdict, tolerableLackGrams } from "@tensidrum/core/packaging";
import type { FillingRow } from "@tensidrum/core/process";
import { decimalPlaces, finestFirst, scaleFor, written } from "@tensidrum/core/quantities";
import { Bottles } from "../../pictures/Bottles/Bottles";
import { useBench } from "../step/bench";
import { BigButton } from "../step/BigButton";
import { Entry } from "../step/Entry";
import { Weighing } from "../step/Weighing";

/** A hand pours this close to the net content, as a part of it, and no closer than so many g. */
const CLOSE = { part: 0.01, leastGrams: 0.3 };

const useWords = { use: "", tester: ", for others to try", retained: ", kept to watch" } as const;

/** One container under the spout: how much is in, how much is to come, and the ones before it. */
export function FillOne({ row, number }: { readonly row: FillingRow; readonly number: number }) {
  const { plan, view } = useBench();
  const { grams, name, type, tareGrams, filled, tried, use, count, part } = row;
  const facts = containerFacts[type];
  const scale = scaleFor(grams + (tareGrams ?? 0), finestFirst(plan.formula.scales)) ?? null;
  const off = Math.max(CLOSE.leastGrams, CLOSE.part * grams);
  const decimals = scale === null ? view.decimals : decimalPlaces(scale.readabilityGrams);
  return (
    <section aria-labelledby="step-head">
      <h2 id="step-head" tabIndex={-1}>
        {part !== undefined && `${part}: `}
        {name} {number}{" "}
        <small>
          of {count}
          {useWords[use]}
        </small>
      </h2>
      <Text>
        {facts.tip} {tareGrams !== null && `Empty it weighs ${written(tareGrams, 1)} g. `}
        It may lack up to {written(tolerableLackGrams(grams), 1)} g (usual tolerance, for orientation).
      </Text>
      <Weighing
        intent="fill-one"
        id={row.id}
        name={`${name} ${number}`}
        hidden={{ row: row.id, number: String(number) }}
        target={{ grams, low: grams - off, high: grams + off }}
        decimals={decimals}
        scaleKind={scale}
        loadGrams={tareGrams ?? 0}
      />
      <Bottles
        name={name}
        type={type}
        planned={grams}
        count={count}
        filled={filled.map((one) => ({ number: one.number, grams: one.grams, verdict: netVerdict(one.grams, grams) }))}
        current={number}
      />
      {facts.isTriedFirst && filled.length > 0 && tried === null && <Trial row={row} />}
    </section>
  );
}

/** The first one is filled: does it work before the others are? */
function Trial({ row }: { readonly row: FillingRow }) {
  return (
    <section aria-labelledby="trial-head">
      <h3 id="trial-head">Try the first one now</h3>
      <Text>{containerFacts[row.type].trial}</Text>
      <Group gap="md" align="end">
        <Entry hidden={{ row: row.id, works: "yes" }}>
          <BigButton intent="try-container" act="The first container works">
            It works
          </BigButton>
        </Entry>
        <Entry hidden={{ row: row.id, works: "no" }}>
          <Group gap="sm" align="end">
            <TextInput name="text" label="what does not work" maxLength={200} autoComplete="off" />
            <BigButton intent="try-container" act="The first container does not work">
              It does not
            </BigButton>
          </Group>
        </Entry>
      </Group>
    </section>
  );
}
