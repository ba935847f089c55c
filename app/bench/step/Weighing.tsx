import { TextInput } from "@mantine/core";
import type { Scale } from "@tensidrum/core/quantities";
import { written } from "@tensidrum/core/quantities";
import { useEffect, useRef, useState, type KeyboardEvent } from "react";
import { FillBar } from "../../pictures/FillBar/FillBar";
import { gramsOfWeight } from "../batch/gramsOfWeight";
import { SimulatedScaleLink } from "../../frame/instruments/simulatedLinks";
import { useInstrument } from "../../frame/instruments/useInstrument";
import { useBench } from "./bench";
import { BigButton } from "./BigButton";
import { Entry } from "./Entry";
import { SimulatedScalePanel } from "./instruments/SimulatedScalePanel";
import classes from "./Step.module.css";

interface WeighingProps {
  readonly intent: "weigh" | "measure" | "fill-one";
  /** Of what is weighed, so that each begins with a tare of its own. */
  readonly id: string;
  readonly name: string;
  readonly hidden: Readonly<Record<string, string>>;
  /** Null where any weight is right. */
  readonly target: { readonly grams: number; readonly low: number; readonly high: number } | null;
  /** What it would be had nothing gone; told beside the reading. */
  readonly expects?: number | null;
  readonly decimals: number;
  readonly scaleKind: Scale | null;
  /** What stands on the scale before it begins, g. */
  readonly loadGrams: number;
  /** Beaker and all are weighed: nothing is tared away. */
  readonly isGross?: boolean;
  /** What the played scale pours when there is no target, g. */
  readonly pours?: number;
}

/** What a weight is entered for. */
const idFields = { weigh: "line", measure: "step", "fill-one": "row" } as const;

/** A weight, read off a scale or typed: how much, how far it has come, and when it may be taken. */
export function Weighing({
  intent,
  id,
  name,
  hidden,
  target,
  expects = null,
  decimals,
  scaleKind,
  loadGrams,
  isGross = false,
  pours = 0,
}: WeighingProps) {
  const { instruments, answered } = useBench();
  const { link, shows, isQuiet, gone } = useInstrument(instruments.scale);
  const input = useRef<HTMLInputElement>(null);
  const typedBefore = answered?.typed[idFields[intent]] === id ? answered.typed.grams : "";
  const [typed, setTyped] = useState(typedBefore);
  const step = scaleKind?.readabilityGrams ?? 10 ** -decimals;
  const [taredFor, setTaredFor] = useState<string | null>(null);
  const usesScale = link !== null && !isQuiet && gone === null;
  const reading = usesScale && shows?.kind === "reading" ? shows : null;
  const isAtZero = reading !== null && reading.isStable !== false && Math.abs(reading.value) <= 2 * step;
  useEffect(() => {
    if (link instanceof SimulatedScaleLink) link.putOn(scaleKind ?? { readabilityGrams: step, capacityGrams: 3_000 }, loadGrams);
    // A new beaker is put on when something else is weighed, not when its content changes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [link, id]);
  useEffect(() => {
    if (isAtZero) setTaredFor(id);
  }, [isAtZero, id]);
  const mustTare = usesScale && !isGross && taredFor !== id;
  const read = gramsOfWeight(typed);
  const grams = usesScale ? (reading?.value ?? null) : "value" in read ? read.value : null;
  const state =
    grams === null || target === null || mustTare ? null : grams > target.high ? "over" : grams >= target.low ? "inside" : "under";
  const mayTake = usesScale ? grams !== null && grams > 0 && reading?.isStable !== false && !mustTare : true;
  const tare = () => {
    link?.tare?.();
    setTaredFor(id);
  };
  const nudge = (by: number) => {
    const field = input.current;
    if (field === null) return;
    const from = "value" in read ? read.value : (target?.grams ?? 0);
    field.value = Math.max(0, typed === "" ? from : from + by).toFixed(decimals);
    setTyped(field.value);
    field.focus();
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "ArrowUp" || event.key === "ArrowDown") {
      event.preventDefault();
      nudge((event.key === "ArrowUp" ? 1 : -1) * step * (event.shiftKey ? 10 : 1));
    } else if (event.key === " " || event.key === "Enter") {
      event.preventDefault();
      event.currentTarget.form?.requestSubmit();
    }
  };
  const window = target === null ? undefined : `${written(target.low, decimals)} to ${written(target.high, decimals)} g`;
  return (
    <Entry
      hidden={{
        ...hidden,
        intent,
        ...(usesScale ? { grams: String(grams ?? ""), readOff: link.isSimulated ? "simulated scale" : "scale" } : {}),
      }}
      className={classes.weighing}
    >
      <div className={classes.reading}>
        {usesScale ? (
          <output className={classes.shown} aria-label={`${name}, the ${link.name} shows`} data-state={state ?? undefined}>
            {shows?.kind === "overload" ? "over" : grams === null ? "…" : written(grams, decimals)}
          </output>
        ) : (
          <TextInput
            ref={input}
            name="grams"
            classNames={{ input: classes.shown }}
            inputMode="decimal"
            autoComplete="off"
            defaultValue={typedBefore}
            aria-label={`${name}, what the scale shows, g`}
            placeholder="0"
            autoFocus
            onInput={(event) => setTyped(event.currentTarget.value)}
            onKeyDown={onKeyDown}
          />
        )}
        <span className={classes.unit}>g</span>
        <div className={classes.of}>
          {target !== null && (
            <p>
              of <data value={target.grams}>{written(target.grams, decimals)}</data> g
            </p>
          )}
          {expects !== null && (
            <p>
              before it was <data value={expects}>{written(expects, decimals)}</data> g
            </p>
          )}
          <p className={classes.more} data-state={state ?? undefined} aria-live="off">
            {shows?.kind === "overload" && usesScale
              ? "More than the scale carries."
              : shows?.kind === "other-unit" && usesScale
                ? `The scale sends ${shows.unit}. Set it to g.`
                : mustTare
                  ? "Tare first: the beaker is on the scale."
                  : moreWords(grams, target, { decimals, state })}
          </p>
        </div>
      </div>
      {link !== null && (isQuiet || gone !== null) && (
        <p className={classes.problem}>{gone ?? "The scale has gone quiet."} Plug it in and connect it again, or type the weight.</p>
      )}
      {target !== null && (
        <FillBar
          grams={mustTare ? 0 : (grams ?? 0)}
          {...{ target: target.grams, low: target.low, high: target.high }}
          decimals={decimals}
        />
      )}
      <div className={classes.acts}>
        {usesScale ? (
          !isGross && (
            <BigButton onClick={tare} isMain={mustTare} act="Tare the scale" actKey={mustTare ? " " : "t"}>
              Tare
            </BigButton>
          )
        ) : (
          <>
            <BigButton onClick={() => nudge(-step)} act="A step less">
              − {step}
            </BigButton>
            <BigButton onClick={() => nudge(step)} act="A step more">
              + {step}
            </BigButton>
          </>
        )}
        {usesScale && mayTake && state !== null && state !== "inside" && (
          <BigButton sends act="Accept anyway">
            Accept anyway
          </BigButton>
        )}
        <BigButton
          isLarge
          isDocked={!mustTare}
          isMain={!mustTare && (state === null || state === "inside")}
          sends
          isOff={usesScale && (!mayTake || (state !== null && state !== "inside"))}
          act="Record weight"
          actKey={mustTare ? undefined : " "}
          below={window === undefined ? undefined : `accepts ${window}`}
        >
          {!usesScale && state !== null && state !== "inside" ? "Accept anyway" : "Record weight"}
        </BigButton>
      </div>
      {link instanceof SimulatedScaleLink && (
        <SimulatedScalePanel link={link} target={target?.grams ?? pours} isTared={!mustTare} step={step} />
      )}
    </Entry>
  );
}

function moreWords(
  grams: number | null,
  target: WeighingProps["target"],
  { decimals, state }: { readonly decimals: number; readonly state: string | null },
): string {
  if (target === null) return "";
  if (grams === null || grams <= 0) return `Right from ${written(target.low, decimals)} to ${written(target.high, decimals)} g.`;
  if (state === "inside") return "Within tolerance.";
  return grams < target.grams
    ? `${written(target.grams - grams, decimals)} g more`
    : `${written(grams - target.grams, decimals)} g too much`;
}
