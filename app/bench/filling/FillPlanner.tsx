import { Checkbox, Group, NativeSelect, Stack, Text } from "@mantine/core";
import { densityByVolume, planFilling, type FillChoice, type FillPlan } from "@tensidrum/core/packaging";
import type { FillDensity, Filling, FillingPart, PlannedContainer } from "@tensidrum/core/process";
import { readNumber, Refusal, written, writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { DataTable } from "../../components/DataTable";
import { FormError } from "../../components/FormError";
import { NumberField } from "../../components/NumberField";
import { BigButton } from "../step/BigButton";
import { Entry } from "../step/Entry";
import type { OpenFilling } from "./filling.server";

interface FillPlannerProps extends Pick<OpenFilling, "containers" | "density"> {
  readonly filling: Filling;
}

/** What the maker wishes, as typed. */
interface Wish {
  readonly density: string;
  /** What 100 g take up, mL: for what holds air. */
  readonly volume: string;
  /** Containers the rest goes into. */
  readonly rest: readonly string[];
  /** By container: how many of it are wanted, or "" for as many as fit. */
  readonly counts: Readonly<Record<string, string>>;
  readonly retained: string;
  readonly testers: string;
  readonly testerOf: string;
  /** As full as they hold, whatever they are sold as. */
  readonly isToTheLip: boolean;
}

/** Which containers it goes into: the wanted numbers first, the rest so that the least is left over. */
export function FillPlanner({ filling, containers, density }: FillPlannerProps) {
  const [isScripted, setScripted] = useState(false);
  useEffect(() => setScripted(true), []);
  const choices = containers.map(choiceOf);
  const smallest = [...choices].sort((a, b) => a.nominalMl - b.nominalMl)[0]?.container ?? "";
  const [wish, setWish] = useState<Wish>({
    ...{
      density: "",
      volume: "",
      counts: {},
      testers: "",
      retained: isKeptOfOther(filling) ? "" : smallest,
      testerOf: smallest,
      isToTheLip: false,
    },
    rest: choices
      .filter(({ pieces }) => pieces !== 0)
      .map(({ container }) => container)
      .slice(0, 1),
  });
  const [isOpen, setOpen] = useState(filling.rows.length === 0);
  const { parts } = filling;
  const [chosen, setChosen] = useState<string | null>(null);
  const part = parts.find((one) => one.part === chosen) ?? nextPart(filling);
  if (containers.length === 0) {
    return (
      <section aria-labelledby="plan-head">
        <h2 id="plan-head">Plan</h2>
        <Text>
          There is nothing to fill it into. <Link to="/fill/containers">Measure a container first</Link>.
        </Text>
      </section>
    );
  }
  const used = densityOf(wish, density);
  const planned = used === null ? null : plannedOf({ wish, choices, filling, part, density: used });
  if (!isOpen) {
    return (
      <section aria-labelledby="plan-head">
        <h2 id="plan-head">Plan</h2>
        <PlanTable rows={filling.rows.filter(({ count }) => count > 0)} />
        {parts.length > 1 && <UnplannedParts filling={filling} />}
        {isScripted && (
          <BigButton act="Plan the filling anew" onClick={() => setOpen(true)}>
            Plan it anew
          </BigButton>
        )}
      </section>
    );
  }
  if (!isScripted) return <Text>Planning a filling needs scripts. Count what you filled at the bench instead.</Text>;
  const set = (change: Partial<Wish>) => setWish({ ...wish, ...change });
  return (
    <section aria-labelledby="plan-head">
      <h2 id="plan-head">Plan</h2>
      <Stack gap="sm">
        {parts.length > 1 && (
          <NativeSelect label="part" w={260} value={part.part ?? ""} onChange={({ currentTarget: { value } }) => setChosen(value)}>
            {parts.map((one) => (
              <option key={one.part ?? ""} value={one.part ?? ""}>
                {one.part ?? "the rest of the base"}, {written(one.toFillGrams, 1)} g
              </option>
            ))}
          </NativeSelect>
        )}
        <Group gap="md" align="end">
          <NumberField
            label={`density${density.source === "estimate" ? ", estimate" : ", measured"}`}
            unit="g/mL"
            w={150}
            value={wish.density}
            placeholder={density.gramsPerMl === null ? "not known" : written(density.gramsPerMl, 3)}
            onChange={({ currentTarget: { value } }) => set({ density: value, volume: "" })}
          />
          <NumberField
            label="or 100 g take up"
            unit="mL"
            w={150}
            value={wish.volume}
            description="whipped, powder"
            inputWrapperOrder={["label", "input", "description"]}
            onChange={({ currentTarget: { value } }) => set({ volume: value, density: "" })}
          />
        </Group>
        <DataTable isRuled>
          <caption>Into which, and how many: an empty number is as many as fit.</caption>
          <tbody>
            {choices.map(({ container, name, pieces }) => (
              <tr key={container}>
                <th scope="row">
                  <Checkbox
                    label={name}
                    checked={wish.rest.includes(container)}
                    onChange={({ currentTarget: { checked } }) =>
                      set({ rest: checked ? [...wish.rest, container] : wish.rest.filter((one) => one !== container) })
                    }
                  />
                </th>
                <td>{pieces === null ? "" : `${pieces} there`}</td>
                <td>
                  <NumberField
                    aria-label={`How many of ${name}`}
                    w={80}
                    disabled={!wish.rest.includes(container)}
                    value={wish.counts[container] ?? ""}
                    onChange={({ currentTarget: { value } }) => set({ counts: { ...wish.counts, [container]: value } })}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </DataTable>
        <Checkbox
          label="As full as they hold to the lip, less what stays free: not what they are sold as"
          checked={wish.isToTheLip}
          onChange={({ currentTarget: { checked } }) => set({ isToTheLip: checked })}
        />
        <Group gap="md" align="end">
          <ContainerSelect label="one kept to watch" value={wish.retained} choices={choices} onChange={(retained) => set({ retained })} />
          <NumberField label="testers" w={90} value={wish.testers} onChange={({ currentTarget: { value } }) => set({ testers: value })} />
          <ContainerSelect label="testers in" value={wish.testerOf} choices={choices} onChange={(testerOf) => set({ testerOf })} />
        </Group>
        {used === null && <FormError>The density is not known. Weigh 100 mL of it, or say what 100 g take up.</FormError>}
        {planned !== null && "problem" in planned && <FormError>{planned.problem}</FormError>}
        {planned !== null && used !== null && "rows" in planned && (
          <Entry
            hidden={{ filling: JSON.stringify({ filling: [...otherRows(filling, part), ...planned.rows], density: used }) }}
            onEntered={() => setOpen(false)}
          >
            <PlanTable rows={planned.rows} />
            <Text role="status">
              {planned.lackGrams > 0.05
                ? `${written(planned.lackGrams, 1)} g are lacking for that.`
                : `${written(planned.leftGrams, 1)} g stay over.`}
              {planned.rows.length === 0 && " Choose a container."}
            </Text>
            <BigButton isMain isDocked={false} isOff={planned.rows.length === 0} intent="plan-filling" act="Fill by this plan">
              Fill by this plan
            </BigButton>
          </Entry>
        )}
      </Stack>
    </section>
  );
}

interface ContainerSelectProps {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly FillChoice[];
  readonly onChange: (container: string) => void;
}

function ContainerSelect({ label, value, choices, onChange }: ContainerSelectProps) {
  return (
    <NativeSelect label={label} w={170} value={value} onChange={({ currentTarget }) => onChange(currentTarget.value)}>
      <option value="">none</option>
      {choices.map(({ container, name }) => (
        <option key={container} value={container}>
          {name}
        </option>
      ))}
    </NativeSelect>
  );
}

/** The part to plan next: the first with more in its beaker than one container holds, else the first. */
function nextPart({ parts, rows }: Filling): FillingPart {
  const isPlanned = ({ part }: FillingPart): boolean => rows.some((row) => row.count > 0 && (row.part ?? null) === part);
  return parts.find((one) => !isPlanned(one)) ?? parts[0] ?? { part: null, toFillGrams: 0, filledGrams: 0 };
}

/** One is kept to watch of another part already: one of the batch is enough, unless the maker wants more. */
function isKeptOfOther(filling: Filling): boolean {
  const { part } = nextPart(filling);
  return filling.rows.some((row) => row.use === "retained" && row.count > 0 && (row.part ?? null) !== part);
}

/** What is planned of the other parts stays as it is. */
function otherRows({ rows }: Filling, { part }: FillingPart): readonly PlannedContainer[] {
  return rows.flatMap(({ filled: _, tried: _tried, ...row }) => (row.count > 0 && (row.part ?? null) !== part ? [row] : []));
}

function UnplannedParts({ filling: { parts, rows } }: { readonly filling: Filling }) {
  const open = parts.filter(({ part }) => !rows.some((row) => row.count > 0 && (row.part ?? null) === part));
  if (open.length === 0) return null;
  return <Text role="status">Not planned yet: {open.map(({ part }) => part ?? "the rest of the base").join(", ")}.</Text>;
}

function PlanTable({ rows }: { readonly rows: FillPlan["rows"] }) {
  return (
    <DataTable isRuled>
      <tbody>
        {rows.map(({ id, name, use, count, grams, part }) => (
          <tr key={id}>
            <td>
              <strong>{count}</strong>
            </td>
            <th scope="row">
              {part !== undefined && <em>{part} </em>}
              {name}
              {use !== "use" && <small> {use === "retained" ? "kept to watch" : "for others to try"}</small>}
            </th>
            <td data-number>{writtenShort(grams, 1)} g</td>
            <td data-number>{writtenShort(count * grams, 1)} g</td>
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}

function choiceOf({
  id,
  name,
  type,
  nominalMl,
  brimfulMl,
  headspaceMl,
  dipTubeMl,
  tareGrams,
  pieces,
}: OpenFilling["containers"][number]): FillChoice {
  return { container: id, name, type, nominalMl, brimfulMl, headspaceMl, dipTubeMl, tareGrams, pieces };
}

function densityOf({ density, volume }: Wish, known: OpenFilling["density"]): FillDensity | null {
  const typed = readNumber(density);
  if (typed.ok && typed.value > 0) return { gramsPerMl: typed.value, source: "measured" };
  const taken = readNumber(volume);
  if (taken.ok && taken.value > 0) return { gramsPerMl: densityByVolume(taken.value), source: "volume" };
  return known.gramsPerMl === null ? null : { gramsPerMl: known.gramsPerMl, source: known.source };
}

interface Planning {
  readonly wish: Wish;
  readonly choices: readonly FillChoice[];
  readonly filling: Filling;
  readonly part: FillingPart;
  readonly density: FillDensity;
}

/** The plan of a wish, for what is still in the beaker. */
function plannedOf({ wish, choices, filling, part, density }: Planning): FillPlan | { readonly problem: string } {
  const countOf = (text: string): number => {
    const read = readNumber(text);
    return read.ok && read.value >= 1 ? Math.floor(read.value) : 0;
  };
  const wanted = wish.rest.flatMap((container) => {
    const count = countOf(wish.counts[container] ?? "");
    return count === 0 ? [] : [{ container, use: "use" as const, count }];
  });
  const testers = countOf(wish.testers);
  const fixed = [
    ...(wish.retained === "" ? [] : [{ container: wish.retained, use: "retained" as const, count: 1 }]),
    ...(testers === 0 || wish.testerOf === "" ? [] : [{ container: wish.testerOf, use: "tester" as const, count: testers }]),
    ...wanted,
  ];
  const rest = wish.rest.filter((container) => countOf(wish.counts[container] ?? "") === 0);
  try {
    const held = wish.isToTheLip ? choices.map((choice) => ({ ...choice, nominalMl: choice.brimfulMl })) : choices;
    // What was lost is told of the batch, not of a part.
    const openGrams = part.toFillGrams - part.filledGrams - (filling.parts.length > 1 ? 0 : filling.lostGrams);
    const rows = filling.rows.filter((row) => (row.part ?? null) === part.part);
    return planFilling(openGrams, density.gramsPerMl, { choices: held, fixed, rest, part: part.part, rows });
  } catch (error) {
    if (error instanceof Refusal) return { problem: `${error.message} ${error.remedy}` };
    throw error;
  }
}
