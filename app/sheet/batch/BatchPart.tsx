import { UnstyledButton } from "@mantine/core";
import { lazy, Suspense, useState } from "react";
import classes from "../Sheet.module.css";

const BatchDialog = lazy(() => import("./BatchDialog"));

/** The door to sizing the batch by containers or by what is in hand. */
export function BatchPart() {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <UnstyledButton
        type="button"
        className={`${classes.door} ${classes.scripted}`}
        onClick={() => setOpen(true)}
        data-act="How much to make: containers, or a material in hand"
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
