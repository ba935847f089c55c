import { Button, NativeSelect, UnstyledButton } from "@mantine/core";
import { useEffect, useState } from "react";
import { useSheet } from "../SheetState";
import classes from "./WithoutScriptsPart.module.css";

/** Saving and moving lines by buttons, for a page whose scripts are switched off. With scripts it goes. */
export function WithoutScriptsPart() {
  const { editor, known } = useSheet();
  const [isScripted, setScripted] = useState(false);
  useEffect(() => setScripted(true), []);
  if (isScripted) return null;
  return (
    <div className={classes.part}>
      <Button type="submit" name="intent" value="save" h={36}>
        Save and recount
      </Button>
      <NativeSelect name="moveLine" defaultValue="" aria-label="Line to move">
        <option value="">move a line …</option>
        {editor.typed.lines.map((line) => (
          <option key={line.id} value={line.id}>
            {known.nameOf(line.materialId)}
          </option>
        ))}
      </NativeSelect>
      <UnstyledButton type="submit" name="intent" value="up">
        One up
      </UnstyledButton>
      <UnstyledButton type="submit" name="intent" value="down">
        One down
      </UnstyledButton>
    </div>
  );
}
