import { readScaleLine, type ScaleLine } from "@tensidrum/core/instruments";
import { useCallback, useEffect, useState } from "react";
import type { ScaleLink } from "./scaleLink";
import { SimulatedLink } from "./simulatedLink";

const REMEMBERED = "tensidrum.bench-scale";
const QUIET_MILLISECONDS = 3_000;

export interface ScaleHere {
  /** Null while weights are typed. */
  readonly link: ScaleLink | null;
  /** What it shows; null before its first line. */
  readonly shows: Exclude<ScaleLine, { kind: "noise" }> | null;
  /** It has sent nothing for some seconds. */
  readonly isQuiet: boolean;
  connectSimulated(): void;
  disconnect(): void;
}

/** The scale the weights come from. A simulated one is taken up again on the next visit. */
export function useScale(): ScaleHere {
  const [link, setLink] = useState<ScaleLink | null>(null);
  const [shows, setShows] = useState<ScaleHere["shows"]>(null);
  const [isQuiet, setQuiet] = useState(false);
  useEffect(() => {
    if (localStorage.getItem(REMEMBERED) === "simulated") setLink(new SimulatedLink());
  }, []);
  useEffect(() => {
    if (link === null) return;
    let quiet: ReturnType<typeof setTimeout> | undefined;
    const stop = link.listen((text) => {
      clearTimeout(quiet);
      quiet = setTimeout(() => setQuiet(true), QUIET_MILLISECONDS);
      setQuiet(false);
      const line = readScaleLine(text);
      if (line.kind !== "noise") setShows((before) => (isSame(before, line) ? before : line));
    });
    return () => {
      clearTimeout(quiet);
      stop();
      setShows(null);
    };
  }, [link]);
  const connectSimulated = useCallback(() => {
    localStorage.setItem(REMEMBERED, "simulated");
    setLink(new SimulatedLink());
  }, []);
  const disconnect = useCallback(() => {
    localStorage.removeItem(REMEMBERED);
    setLink(null);
  }, []);
  return { link, shows, isQuiet, connectSimulated, disconnect };
}

function isSame(a: ScaleHere["shows"], b: ScaleHere["shows"]): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
