import { isRunning, nextStir } from "@tensidrum/core/process";
import { useCallback, useEffect, useRef, useState } from "react";
import { type Bench } from "./bench";
import { notify } from "../../frame/notify";
import { allowSound, chime } from "./chime";

const SOUND_OFF = "tensidrum.bench-sound-off";

export interface Chimes {
  readonly isLoud: boolean;
  toggle(): void;
}

/** A clock that runs out is heard and notified, and so is every stir in between; the sound can be put off, and stays so. */
export function useChimes({ view, now }: Pick<Bench, "view" | "now">): Chimes {
  const [isLoud, setLoud] = useState(true);
  const ran = useRef(new Set<string>());
  const stirs = useRef(new Map<string, string>());
  useEffect(() => {
    setLoud(localStorage.getItem(SOUND_OFF) === null);
    document.addEventListener("pointerdown", allowSound, { once: true });
    document.addEventListener("keydown", allowSound, { once: true });
    return () => {
      document.removeEventListener("pointerdown", allowSound);
      document.removeEventListener("keydown", allowSound);
    };
  }, []);
  useEffect(() => {
    for (const wait of view.waits) {
      if (isRunning(wait, now)) ran.current.add(wait.id);
      const stir = isRunning(wait, now) ? nextStir(wait, now) : null;
      const before = stirs.current.get(wait.id);
      if (before !== undefined && stir !== before && before <= now) {
        if (isLoud) chime();
        notify(`${wait.text}: stir it slowly`, `${wait.id} ${before}`);
      }
      if (stir !== null) stirs.current.set(wait.id, stir);
      if (isRunning(wait, now)) continue;
      if (ran.current.delete(wait.id) && wait.endedAt === null) {
        if (isLoud) chime();
        notify(`${wait.text}: the time is over`, wait.id);
      }
    }
  }, [view.waits, now, isLoud]);
  const toggle = useCallback(() => {
    if (isLoud) localStorage.setItem(SOUND_OFF, "1");
    else localStorage.removeItem(SOUND_OFF);
    allowSound();
    if (!isLoud) chime();
    setLoud(!isLoud);
  }, [isLoud]);
  return { isLoud, toggle };
}
