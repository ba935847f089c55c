import { Button, Group, Text } from "@mantine/core";
import { CUP_TIMES_FASTER, foamHeight, shakenCylinder, type SimulatedCylinder } from "@tensidrum/core/instruments";
import { useEffect, useState } from "react";

/** When the heights are read, seconds after the last shake. */
const READ_AT = { atOnce: 0, oneMinute: 60, fiveMinutes: 300 } as const;
/** So long before and after its moment a height is read. */
const [BEFORE, AFTER] = [5, 10];

export type HeightField = keyof typeof READ_AT;

interface ShakeClockProps {
  /** 0 to 1, the same one for the same batch. */
  readonly seed: number;
  /** A height of the simulated cylinder, mm. */
  readonly onHeight: (field: HeightField, height: string) => void;
}

interface Shaken {
  readonly at: number;
  /** Null where a real one was shaken. */
  readonly cylinder: SimulatedCylinder | null;
}

/** Counts from the last shake and says when a height is to be read. The simulated cylinder reads itself, its clock runs faster. */
export function ShakeClock({ seed, onHeight }: ShakeClockProps) {
  const [shaken, setShaken] = useState<Shaken | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (shaken === null) return;
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, [shaken]);
  const pace = shaken?.cylinder == null ? 1 : CUP_TIMES_FASTER;
  const seconds = shaken === null ? 0 : Math.max(0, Math.floor(((now - shaken.at) / 1000) * pace));
  const due = (Object.keys(READ_AT) as HeightField[]).filter((field) => seconds >= READ_AT[field]).at(-1);
  const cylinder = shaken?.cylinder ?? null;
  useEffect(() => {
    if (cylinder === null || due === undefined) return;
    onHeight(due, String(foamHeight(cylinder, READ_AT[due] / 60)));
    // Each height is read once, when it is due.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [cylinder, due]);
  const start = (simulated: boolean) => () => {
    setNow(Date.now());
    // Twelve drawn numbers of 0 to 1, less six, are close to a normal one.
    const scatter = Array.from({ length: 12 }, Math.random).reduce((sum, one) => sum + one, -6);
    setShaken({ at: Date.now(), cylinder: simulated ? shakenCylinder(seed, scatter) : null });
  };
  const next = Object.values(READ_AT).find((at) => seconds < at - BEFORE);
  const isNow = Object.values(READ_AT).some((at) => seconds >= at - BEFORE && seconds <= at + AFTER);
  const clock = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
  return (
    <Group>
      <Button h={44} variant={shaken === null ? "filled" : "outline"} onClick={start(false)}>
        {shaken === null ? "Shaken ten times: start the clock" : "Start again"}
      </Button>
      <Button h={44} variant="outline" onClick={start(true)}>
        Shake a simulated cylinder
      </Button>
      {shaken !== null && (
        <Text m={0} role="timer" aria-label="Since the last shake">
          <strong>{clock}</strong>{" "}
          {shaken.cylinder !== null
            ? `${foamHeight(shaken.cylinder, seconds / 60)} mm, simulated, ${CUP_TIMES_FASTER} times as fast`
            : isNow
              ? "read the height now"
              : next === undefined
                ? "read the last height now"
                : `next at ${next / 60} min`}
        </Text>
      )}
    </Group>
  );
}
