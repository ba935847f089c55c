import { Button, Checkbox, NativeSelect, Radio, Slider, Stack, TextInput } from "@mantine/core";
import { thickeningWays, type ThickeningWay } from "@tensidrum/core/design";
import { readNumber, writtenShort } from "@tensidrum/core/quantities";
import { useEffect, useState } from "react";
import { Fold } from "../../components/Fold";
import type { SheetFix } from "./fixesOfSheet";
import type { OpenDesigner } from "./designer.server";
import classes from "./Designer.module.css";
import { LEAST_ACTIVE, LEAST_COUNT, MOST_ACTIVE, MOST_COUNT, wishFields, type DesignerWishes, type WishField } from "./wishesOf";

interface WishesProps {
  readonly open: OpenDesigner;
  readonly wishes: DesignerWishes;
  readonly fixes: readonly SheetFix[];
  readonly onWish: (key: string, value: string | number | null | readonly string[]) => void;
  /** Asks for one of the fixes of the sheet. */
  readonly onFix: (query: string) => void;
}

const wayNames: Readonly<Record<ThickeningWay, string>> = {
  any: "any way",
  salt: "salt",
  gum: "a gum",
  associative: "an associative polymer",
  none: "nothing, it stays thin",
};

/** What the blend is wished to be: windows, ends, what must be in it. */
export function Wishes({ open, wishes, fixes, onWish, onFix }: WishesProps) {
  const { choices, shelf, currency, preservatives } = open;
  const there = new Set(shelf.map(([slug]) => slug));
  const offered = choices.filter(({ slug }) => !wishes.onlyShelf || there.has(slug));
  const nameOf = (slug: string): string => choices.find((choice) => choice.slug === slug)?.name ?? slug;
  return (
    <section aria-labelledby="wishes-head">
      <h2 id="wishes-head">What you wish</h2>
      <Stack gap="sm" mt="xs">
        {fixes.length > 0 && (
          <NativeSelect
            label="fix the sheet"
            value=""
            onChange={(event) => onFix(event.currentTarget.value)}
            data={[{ value: "", label: "with the least change …" }, ...fixes.map(({ query, words }) => ({ value: query, label: words }))]}
          />
        )}
        <Radio.Group label="Mild, and" value={wishes.against} onChange={(value) => onWish("against", value)}>
          <div className={classes.row}>
            <Radio value="cost" label="cheap" />
            <Radio value="foam" label="foaming" />
            <Radio value="change" label="near the sheet" />
          </div>
        </Radio.Group>
        <Radio.Group label="Out of" value={wishes.onlyShelf ? "only" : "all"} onChange={(value) => onWish("shelf", value)}>
          <div className={classes.row}>
            <Radio value="only" label="my shelf" />
            <Radio value="all" label="the whole library" />
          </div>
        </Radio.Group>
        <Window
          words="active matter"
          unit="%"
          value={wishes.activePercent}
          ends={[LEAST_ACTIVE, MOST_ACTIVE]}
          onLow={(value) => onWish("activeLow", value)}
          onHigh={(value) => onWish("activeHigh", value)}
        />
        <Window
          words="surfactants"
          unit=""
          value={wishes.count}
          ends={[LEAST_COUNT, MOST_COUNT]}
          onLow={(value) => onWish("countLow", Math.round(value))}
          onHigh={(value) => onWish("countHigh", Math.round(value))}
        />
        <NativeSelect
          label="thickened by"
          value={wishes.thickening}
          onChange={(event) => onWish("thickening", event.currentTarget.value)}
          data={thickeningWays.map((way) => ({ value: way, label: wayNames[way] }))}
        />
        <NativeSelect
          label="preserved by"
          value={wishes.preservative ?? ""}
          onChange={(event) => onWish("preserved", event.currentTarget.value === "" ? [] : event.currentTarget.value)}
          data={[{ value: "", label: "what is on the sheet" }, ...preservatives.map(({ slug, name }) => ({ value: slug, label: name }))]}
        />
        {wishFields.map((field) => (
          <NumberWish
            key={field.wish}
            field={field}
            unit={field.wish === "mostCost" ? currency : field.unit}
            drawnTo={field.wish === "mostCost" ? dearest(open) : field.high}
            value={wishes[field.wish]}
            onWish={(value) => onWish(field.wish, value)}
          />
        ))}
        <Checkbox
          label="nothing that must be heated"
          checked={wishes.coldOnly}
          onChange={(event) => onWish("cold", event.currentTarget.checked ? "only" : [])}
        />
        <Fold summary={mustSummary(wishes)}>
          <Stack gap="sm" mt="xs">
            {(["must", "not"] as const).map((key) => {
              const chosen = key === "must" ? wishes.mustHave : wishes.mustNot;
              return (
                <div key={key}>
                  <NativeSelect
                    label={key === "must" ? "must be in it" : "must not be in it"}
                    value=""
                    onChange={(event) => onWish(key, [...chosen, event.currentTarget.value])}
                    data={[
                      { value: "", label: "choose a surfactant" },
                      ...offered.filter(({ slug }) => !chosen.includes(slug)).map(({ slug, name }) => ({ value: slug, label: name })),
                    ]}
                  />
                  {chosen.map((slug) => (
                    <Button
                      key={slug}
                      variant="subtle"
                      h={36}
                      onClick={() =>
                        onWish(
                          key,
                          chosen.filter((one) => one !== slug),
                        )
                      }
                    >
                      {nameOf(slug)}, take it off
                    </Button>
                  ))}
                </div>
              );
            })}
          </Stack>
        </Fold>
      </Stack>
    </section>
  );
}

function mustSummary({ mustHave, mustNot }: DesignerWishes): string {
  if (mustHave.length + mustNot.length === 0) return "What must be in it, or must not";
  return `${mustHave.length} must be in it, ${mustNot.length} must not`;
}

interface WindowProps {
  readonly words: string;
  readonly unit: string;
  readonly value: { readonly low: number; readonly high: number };
  readonly ends: readonly [number, number];
  readonly onLow: (value: number) => void;
  readonly onHigh: (value: number) => void;
}

/** From so much to so much. */
function Window({ words, unit, value, ends, onLow, onHigh }: WindowProps) {
  return (
    <fieldset className={classes.window}>
      <legend>{unit === "" ? words : `${words}, ${unit}`}</legend>
      <NumberCell label={`${words}, least`} value={value.low} ends={ends} onValue={onLow} /> to{" "}
      <NumberCell label={`${words}, most`} value={value.high} ends={ends} onValue={onHigh} />
      {value.low > value.high && <p role="alert">The least is above the most.</p>}
    </fieldset>
  );
}

interface NumberCellProps {
  readonly label: string;
  readonly value: number;
  readonly ends: readonly [number, number];
  readonly onValue: (value: number) => void;
  readonly isOff?: boolean;
}

/** A number as it is typed; taken when the hand leaves it. */
function NumberCell({ label, value, ends: [least, most], onValue, isOff = false }: NumberCellProps) {
  const [text, setText] = useState(writtenShort(value, 2));
  useEffect(() => setText(writtenShort(value, 2)), [value]);
  const read = readNumber(text);
  const isRight = read.ok && read.value >= least && read.value <= most;
  const take = (): void => {
    if (isRight && read.value !== value) onValue(read.value);
  };
  return (
    <TextInput
      className={classes.cell}
      aria-label={label}
      inputMode="decimal"
      autoComplete="off"
      disabled={isOff}
      value={text}
      error={isRight ? undefined : `${least} to ${most}`}
      onChange={(event) => setText(event.currentTarget.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === "Enter") take();
      }}
    />
  );
}

interface NumberWishProps {
  readonly field: WishField;
  readonly unit: string;
  readonly value: number | null;
  /** Where the slider ends; what is typed may be more. */
  readonly drawnTo: number;
  readonly onWish: (value: number | null) => void;
}

/** Slider of the cost: to three times what the dearest version costs, in any currency. */
function dearest({ marks }: OpenDesigner): number {
  const most = Math.max(0.5, ...marks.map(({ cost }) => 3 * cost));
  const step = 10 ** Math.floor(Math.log10(most));
  return Math.ceil(most / step) * step;
}

/** A wish that may be left out, by slider or by keys. */
function NumberWish({ field: { words, low, high, step }, unit, value, drawnTo, onWish }: NumberWishProps) {
  const [drawn, setDrawn] = useState(value ?? (low + drawnTo) / 2);
  useEffect(() => {
    if (value !== null) setDrawn(value);
  }, [value]);
  return (
    <div className={classes.wish}>
      <Checkbox
        label={unit === "" ? words : `${words}, ${unit}`}
        checked={value !== null}
        onChange={(event) => onWish(event.currentTarget.checked ? drawn : null)}
      />
      {value !== null && (
        <div className={classes.drawn}>
          <Slider
            thumbLabel={words}
            label={null}
            min={low}
            max={Math.max(drawnTo, drawn)}
            step={drawnTo === high ? step : drawnTo / 60}
            value={drawn}
            onChange={setDrawn}
            onChangeEnd={(end) => onWish(Math.round(end * 100) / 100)}
          />
          <NumberCell label={words} value={Math.round(drawn * 100) / 100} ends={[low, high]} onValue={onWish} />
        </div>
      )}
    </div>
  );
}
