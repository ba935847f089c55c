import { UnstyledButton } from "@mantine/core";
import { memo, useId, useState } from "react";
import classes from "./EstimateMark.module.css";
import { explanations } from "./explanations";

/** Says that a number is an estimate and how good it is; one click says why. Many stand beside numbers that follow the typing. */
export const EstimateMark = memo(function EstimateMark({ of }: { readonly of: keyof typeof explanations }) {
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  const { mark, words, source } = explanations[of];
  return (
    <span
      className={classes.mark}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) setOpen(false);
      }}
    >
      <UnstyledButton
        type="button"
        aria-expanded={isOpen}
        aria-controls={isOpen ? id : undefined}
        title={words}
        onClick={() => setOpen(!isOpen)}
        onKeyDown={(event) => {
          if (!isOpen || event.key !== "Escape") return;
          event.stopPropagation();
          event.preventDefault();
          setOpen(false);
        }}
      >
        {mark}
      </UnstyledButton>
      {isOpen && (
        <span id={id} className={classes.words} role="note">
          {words} <em>{source}.</em> <a href={`/help/estimates#${of}`}>More on estimates</a>
        </span>
      )}
    </span>
  );
});
