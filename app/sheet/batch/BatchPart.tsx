import { UnstyledButton } from "@mantine/core";
import { lazy, Suspense, useState } from "react";
import classes from "../Sheet.module.css";

const BatchDialog = lazy(() => import("./BatchDialog"));

/** The door to sizing the batch by containers, by what is in hand or by the largest pot. */
export function BatchPart() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <UnstyledButton
        type="button"
        className={`${classes.door} ${classes.scripted}`}
        onClick={() => setOpen(true)}
        data-act="How much to make: containers, a material in hand, or the largest pot"
        data-key="b"
      >
        How much to make
      </UnstyledButton>
      {isOpen && (
        <Suspense fallback={null}>
          <BatchDialog onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
