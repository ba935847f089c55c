import { Button, Group, Text } from "@mantine/core";
import { useEffect, useState } from "react";

/** When the heights are read, seconds after the last shake. */
const READ_AT = [60, 300] as const;

/** Counts from the last shake and says when a height is to be read. */
export function ShakeClock() {
  const [begun, setBegun] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (begun === null) return;
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, [begun]);
  const seconds = begun === null ? 0 : Math.max(0, Math.floor((now - begun) / 1000));
  const next = READ_AT.find((at) => seconds < at);
  const clock = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
  return (
    <Group>
      <Button
        h={44}
        variant={begun === null ? "filled" : "outline"}
        onClick={() => {
          setNow(Date.now());
          setBegun(Date.now());
        }}
      >
        {begun === null ? "Shaken ten times: start the clock" : "Start again"}
      </Button>
      {begun !== null && (
        <Text m={0} role="timer" aria-label="Since the last shake">
          <strong>{clock}</strong>{" "}
          {seconds < 5
            ? "read the height now"
            : next === undefined
              ? "read the last height now"
              : next - seconds <= 5
                ? "read the height now"
                : `next at ${next / 60} min`}
        </Text>
      )}
    </Group>
  );
}
