import { Button, Group, Text } from "@mantine/core";
import { useEffect, useState } from "react";
import { FormError } from "../../components/FormError";
import { Instrument } from "../../frame/instruments/instrument";
import { canReadSerial, openSerial } from "../../frame/instruments/serialLink";
import { SimulatedCupLink, SimulatedMeterLink } from "../../frame/instruments/simulatedLinks";
import { useInstrument } from "../../frame/instruments/useInstrument";

interface ReadOffProps {
  readonly kind: "meter" | "cup";
  /** What the sample really has, for an instrument that is not there. */
  readonly truth: { readonly ph: number; readonly pascalSeconds: number };
  readonly onTake: (value: string, isSimulated: boolean) => void;
}

const USUAL_BAUD = 9_600;
const [PROBE_OFFSET, PROBE_SLOPE] = [0.02, 97];
const DENSITY = 1.02;

/** A value off an instrument: a simulated one, or one on a cable. It is taken once it stands. */
export function ReadOff({ kind, truth, onTake }: ReadOffProps) {
  const [instrument] = useState(() => new Instrument(kind));
  const { link, shows, isQuiet, gone } = useInstrument(instrument);
  const [problem, setProblem] = useState<string | null>(null);
  const [isSerialThere, setSerialThere] = useState(false);
  useEffect(() => {
    setSerialThere(canReadSerial());
    return () => instrument.disconnect();
  }, [instrument]);
  const simulate = (): void => {
    if (kind === "cup") return instrument.connect(new SimulatedCupLink(() => ({ pascalSeconds: truth.pascalSeconds, density: DENSITY })));
    const meter = new SimulatedMeterLink({ offsetPh: PROBE_OFFSET, slopePercent: PROBE_SLOPE }, () => truth.ph);
    instrument.connect(meter);
    meter.dip("sample");
  };
  const connect = async (): Promise<void> => {
    const opened = await openSerial(kind, USUAL_BAUD);
    if ("problem" in opened) return setProblem(opened.problem);
    setProblem(null);
    instrument.connect(opened.link);
  };
  const name = kind === "meter" ? "pH meter" : "flow cup";
  if (link === null) {
    return (
      <Group gap="xs">
        <Text component="span" size="sm" c="var(--ink-2)">
          {name}
        </Text>
        <Button size="compact-sm" variant="outline" onClick={simulate} aria-label={`Simulated ${name}`}>
          simulated
        </Button>
        {isSerialThere && (
          <Button size="compact-sm" variant="outline" onClick={() => void connect()} aria-label={`${name} on a cable`}>
            on a cable
          </Button>
        )}
        {problem !== null && <FormError>{problem}</FormError>}
      </Group>
    );
  }
  const reading = shows?.kind === "reading" ? shows : null;
  const value = reading === null ? null : reading.value.toFixed(kind === "meter" ? 2 : 1);
  const words = gone ?? (isQuiet ? "It has gone quiet. Is it on?" : shows?.kind === "overload" ? "out of its range" : "…");
  return (
    <Group gap="xs">
      <Text component="output" fw={650} aria-label={`${link.name} shows`} aria-live="off">
        {value ?? words}
      </Text>
      {link instanceof SimulatedCupLink && value === null && (
        <Button size="compact-sm" variant="outline" onClick={() => link.fill()}>
          Fill it and let it run
        </Button>
      )}
      <Button
        size="compact-sm"
        disabled={value === null || reading?.isStable === false}
        onClick={() => value !== null && onTake(value, link.isSimulated)}
      >
        {reading?.isStable === false ? "settling" : "Take it"}
      </Button>
      <Button size="compact-sm" variant="outline" onClick={() => instrument.disconnect()} aria-label={`Put the ${name} away`}>
        away
      </Button>
    </Group>
  );
}
