import { Button } from "@mantine/core";
import type { ReactNode } from "react";
import { useBench } from "./bench";
import classes from "./Step.module.css";

interface BigButtonProps {
  readonly intent?: string;
  /** Sends its form, which says itself what it is for. */
  readonly sends?: boolean;
  readonly onClick?: () => void;
  readonly isMain?: boolean;
  /** As large as the main one, while it is not. */
  readonly isLarge?: boolean;
  /** In the one place at the foot of the screen where what is to be done next is pressed; the main one stands there. */
  readonly isDocked?: boolean;
  readonly isOff?: boolean;
  /** What it does, for those who look for it by words; a single key that does it. */
  readonly act: string;
  readonly actKey?: string | undefined;
  /** A word under its name. */
  readonly below?: string | undefined;
  readonly children: ReactNode;
}

/** A button for a wet finger: at least 62 px high, reached by arrows, deaf for a moment after an entry. */
export function BigButton({
  intent,
  sends = intent !== undefined,
  onClick,
  isMain = false,
  isLarge = isMain,
  isDocked = isMain,
  isOff = false,
  act,
  actKey,
  below,
  children,
}: BigButtonProps) {
  const { isGuarded } = useBench();
  return (
    <Button
      type={sends ? "submit" : "button"}
      {...(intent === undefined ? {} : { name: "intent", value: intent })}
      onClick={onClick}
      disabled={isOff || isGuarded}
      variant={isMain ? "filled" : "outline"}
      {...(isMain ? {} : { color: "dark" })}
      h={isDocked ? 72 : isLarge ? 84 : 62}
      fz={isLarge ? 24 : 18}
      {...(isLarge ? { className: isDocked ? classes.docked : classes.main } : {})}
      data-big
      data-act={act}
      data-key={actKey}
    >
      <span>
        {children}
        {below !== undefined && <small className={classes.below}>{below}</small>}
      </span>
    </Button>
  );
}
