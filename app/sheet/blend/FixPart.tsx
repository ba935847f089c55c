import { Text, UnstyledButton } from "@mantine/core";
import { lazy, memo, Suspense, useCallback, useState } from "react";
import classes from "../Sheet.module.css";
import { useNoteSentence } from "./useNoteSentence";

const FixDialog = lazy(() => import("../designer/FixDialog"));

const Door = memo(function Door({ onOpen }: { readonly onOpen: () => void }) {
  return (
    <UnstyledButton type="button" className={classes.door} onClick={onOpen} data-act="Fix the blend by search">
      Fix the blend
    </UnstyledButton>
  );
});

/** The door to fixing the sheet by search. What is taken can be undone, and a sentence of it stands in the note. */
export function FixPart() {
  const noteSentence = useNoteSentence();
  const [isOpen, setOpen] = useState(false);
  const open = useCallback(() => setOpen(true), []);
  const [told, setTold] = useState<string | null>(null);
  const tellTaken = async (inTheWay: string | null, sentence: string): Promise<void> => {
    setOpen(false);
    if (inTheWay !== null) return setTold(inTheWay);
    setTold(`${sentence} Undo brings back what was here.`);
    if (!(await noteSentence(sentence))) setTold(`${sentence} Undo brings back what was here. It could not be added to the note.`);
  };
  return (
    <>
      <Door onOpen={open} />
      {told !== null && (
        <Text role="status" w="100%" my="xs">
          {told}
        </Text>
      )}
      {isOpen && (
        <Suspense fallback={null}>
          <FixDialog onClose={() => setOpen(false)} onTaken={(inTheWay, sentence) => void tellTaken(inTheWay, sentence)} />
        </Suspense>
      )}
    </>
  );
}
