import { writtenShort } from "@tensidrum/core/quantities";
import { useRef } from "react";
import { PictureDownload } from "../../components/PictureDownload";
import { Axes } from "../Stair/Axes";
import stair from "../Stair/Stair.module.css";
import { DECAY, decayGeometry, type DecayAsk } from "./geometry";

/** How foam falls over five minutes: every test, and the steady fall of their mean. */
export function Decay(ask: DecayAsk) {
  const { tests, fall, end, xTicks, yTicks } = decayGeometry(ask, DECAY);
  const picture = useRef<SVGSVGElement>(null);
  const half = ask.halfLifeMinutes === null ? "it does not fall" : `half of it in ${writtenShort(ask.halfLifeMinutes, 1)} min`;
  const told =
    ask.mean === null
      ? "no test"
      : `${tests.length} ${tests.length === 1 ? "test" : "tests"}, ${half}, ${writtenShort(end?.mm ?? 0, 0)} mm at the end`;
  return (
    <>
      <svg
        ref={picture}
        className={stair.stair}
        viewBox={`0 0 ${DECAY.width} ${DECAY.height}`}
        role="img"
        aria-label={`Fall of the foam: ${told}.`}
      >
        <Axes frame={DECAY} xTicks={xTicks} yTicks={yTicks} name="min" />
        {tests.map(({ path, dots }, at) => (
          <g key={at}>
            <path className={stair.truth} d={path} opacity="0.35" />
            {dots.map(({ x, y }, dot) => (
              <circle key={dot} className={stair.tick} cx={x} cy={y} r="3" />
            ))}
          </g>
        ))}
        {fall !== null && <path className={stair.curve} d={fall} strokeWidth="2.4" />}
        {end !== null && (
          <text className={stair.tick} x={end.x + 8} y={end.y + 4}>
            {writtenShort(end.mm, 0)} mm
          </text>
        )}
      </svg>
      <PictureDownload name="fall-of-foam" picture={picture} />
    </>
  );
}
