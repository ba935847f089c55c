import { TextInput } from "@mantine/core";
import { useState } from "react";
import classes from "./FileDrop.module.css";

interface FileDropProps {
  readonly label: string;
  readonly name: string;
  readonly accept: string;
  /** What the file holds, in a few words; null where it cannot be told before it is read. */
  readonly holds: (text: string) => string | null;
}

/** More than this is not looked into beforehand, bytes. */
const MOST_LOOKED_AT = 2_000_000;

/** A field a file is dropped on or chosen with; it says what the file holds before anything is sent. */
export function FileDrop({ label, name, accept, holds }: FileDropProps) {
  const [found, setFound] = useState<string | null>(null);
  const look = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return setFound(null);
    const size = `${file.name}, ${(file.size / 1000).toFixed(file.size < 10_000 ? 1 : 0)} kB`;
    const text = file.size > MOST_LOOKED_AT ? null : holds(await file.text());
    setFound(text === null ? size : `${size}: ${text}`);
  };
  return (
    <div className={classes.drop}>
      <TextInput
        label={label}
        type="file"
        name={name}
        accept={accept}
        size="lg"
        onChange={(event) => void look(event.currentTarget.files?.[0])}
      />
      <p role="status">{found ?? "Drop it here, or choose it. Nothing is stored yet."}</p>
    </div>
  );
}
