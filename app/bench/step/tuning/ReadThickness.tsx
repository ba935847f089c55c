import { TextInput, NativeSelect } from "@mantine/core";
import { SIMULATED_CUP } from "@tensidrum/core/instruments";
import { questionOfHaste, type Step } from "@tensidrum/core/process";
import { useEffect, useState } from "react";
import { SimulatedCupLink } from "../../../frame/instruments/simulatedLinks";
import { useInstrument } from "../../../frame/instruments/useInstrument";
import { beadFields, thicknessWays } from "../../batch/benchForm";
import { thicknessWords } from "@tensidrum/core/rheology";
import { useBench } from "../bench";
import { BigButton } from "../BigButton";
import { Entry } from "../Entry";
import { LiveReading } from "../instruments/LiveReading";
import { SimulatedCupPanel } from "../instruments/SimulatedCupPanel";
import step from "../Step.module.css";
import classes from "./Tuning.module.css";

interface ReadThicknessProps {
  readonly due: Step;
  readonly words: string;
  /** In which unit the batch has been read; null for any. */
  readonly unit: "Pa·s" | "s" | null;
  /** It is a second look, beside the advice. */
  readonly isAgain?: boolean;
}

type Way = (typeof thicknessWays)[number];

const wayNames: Readonly<Record<Way, string>> = {
  "Pa·s": "in Pa·s",
  funnel: "seconds through my flow cup",
  word: "in a word",
  bead: "by a sinking bead",
};
const beadWords: Readonly<Record<(typeof beadFields)[number], string>> = {
  diameter: "bead, mm",
  density: "its density, g/mL",
  jar: "jar inside, mm",
  fall: "fell, mm",
  seconds: "in, s",
};
const REMEMBERED = "tensidrum.thickness-way";

/** A reading of the thickness: off a flow cup, as a number, seconds, a word, or the fall of a bead. */
export function ReadThickness({ due, words, unit, isAgain = false }: ReadThicknessProps) {
  const { view, clock, answered, instruments, funnel } = useBench();
  const cup = useInstrument(instruments.cup);
  const isOffCup = cup.link !== null && cup.gone === null;
  const [chosen, setChosen] = useState<Way>("Pa·s");
  useEffect(() => setChosen(rememberedWay()), []);
  // An instrument may time a flow, or tell the thickness itself.
  const isTold = cup.shows?.kind === "reading" && cup.shows.unit === "Pa·s";
  const way: Way = isOffCup ? (isTold ? "Pa·s" : "funnel") : unit === "s" ? "funnel" : chosen;
  const shown = cup.shows?.kind === "reading" && cup.shows.isStable !== false ? cup.shows.value : null;
  const constants = cup.link?.isSimulated === true ? SIMULATED_CUP : funnel;
  return (
    <Entry
      hidden={{ step: due.id, ...(isOffCup ? { by: way } : {}) }}
      className={isAgain ? classes.again : classes.read}
      ask={() => questionOfHaste("thickness-read", view, clock())}
    >
      {words !== "" && <p className={step.do}>{words}</p>}
      {isOffCup ? (
        <>
          <LiveReading
            state={cup}
            name={isTold ? "Thickness" : "Flow time"}
            decimals={isTold ? 2 : 1}
            beside={isTold ? "Pa·s" : "s through the cup"}
          />
          <input type="hidden" name="viscosity" value={shown ?? ""} />
          <input type="hidden" name="readOff" value={cup.link?.isSimulated === true ? "simulated cup" : "cup"} />
        </>
      ) : (
        <>
          {(way === "Pa·s" || way === "funnel") && (
            <label className={isAgain ? undefined : classes.big}>
              <span className="only-for-readers">Thickness</span>
              <TextInput
                name="viscosity"
                inputMode="decimal"
                autoComplete="off"
                aria-label={isAgain ? "Thickness, read again" : "Thickness"}
                defaultValue={answered?.typed.intent === "read-thickness" ? answered.typed.viscosity : ""}
                autoFocus={!isAgain}
              />
            </label>
          )}
          {(way === "word" || (way === "funnel" && constants === null)) && (
            <NativeSelect label="it is like" name="word" aria-label="Thickness in a word">
              {thicknessWords.map((word) => (
                <option key={word}>{word}</option>
              ))}
            </NativeSelect>
          )}
          {way === "bead" &&
            beadFields.map((field) => (
              <label key={field}>
                {beadWords[field]} <TextInput name={`bead.${field}`} inputMode="decimal" autoComplete="off" inputSize="5" />
              </label>
            ))}
          <label>
            <span className="only-for-readers">measured</span>
            <NativeSelect
              name="by"
              value={way}
              disabled={unit === "s"}
              aria-label="How the thickness was measured"
              onChange={(event) => {
                localStorage.setItem(REMEMBERED, event.currentTarget.value);
                setChosen(event.currentTarget.value as Way);
              }}
            >
              {thicknessWays.map((one) => (
                <option key={one} value={one}>
                  {wayNames[one]}
                </option>
              ))}
            </NativeSelect>
            {unit === "s" && <input type="hidden" name="by" value="funnel" />}
          </label>
        </>
      )}
      {way === "funnel" && constants === null && (
        <p className={classes.hint}>
          The flow cup was never run with known liquids: its seconds stand for themselves, with a word.{" "}
          <a href="/settings#funnel">Calibrate it</a>
        </p>
      )}
      <BigButton
        isMain={!isAgain}
        isOff={isOffCup && shown === null}
        intent="read-thickness"
        act={isAgain ? "Take another thickness reading" : "Take the thickness"}
        actKey={isAgain ? "r" : isOffCup ? " " : undefined}
      >
        {isAgain ? "Read again" : "Take the reading"}
      </BigButton>
      {cup.link instanceof SimulatedCupLink && <SimulatedCupPanel link={cup.link} />}
    </Entry>
  );
}

function rememberedWay(): Way {
  return thicknessWays.find((one) => one === localStorage.getItem(REMEMBERED)) ?? "Pa·s";
}
