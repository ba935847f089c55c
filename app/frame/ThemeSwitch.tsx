import { UnstyledButton, useComputedColorScheme, useMantineColorScheme } from "@mantine/core";
import { memo, useEffect, useState } from "react";
import classes from "./ThemeSwitch.module.css";

/** Dims the bench or lights it again; the choice is remembered on this device. Needs scripts, so it appears with them. */
export const ThemeSwitch = memo(function ThemeSwitch() {
  const { setColorScheme } = useMantineColorScheme();
  const scheme = useComputedColorScheme("light", { getInitialValueInEffect: true });
  const [isScripted, setScripted] = useState(false);
  useEffect(() => setScripted(true), []);
  const isDim = scheme === "dark";
  return (
    <UnstyledButton
      type="button"
      className={classes.switch}
      aria-pressed={isDim}
      disabled={!isScripted}
      onClick={() => setColorScheme(isDim ? "light" : "dark")}
    >
      <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
        <circle cx="8" cy="8" r="5.600" fill="none" stroke="currentColor" strokeWidth="1.300" />
        <path d="M8 2.400a5.600 5.600 0 0 1 0 11.200z" fill="currentColor" />
      </svg>
      <span className={classes.word}>dim</span>
    </UnstyledButton>
  );
});
