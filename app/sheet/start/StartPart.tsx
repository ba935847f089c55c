import { lazy, Suspense, useEffect, useState } from "react";
import { useSheet } from "../SheetState";
import type { TypedSheet } from "../typed/typedSheet";

/** Only a sheet that is yet to begin needs it. */
const Start = lazy(async () => ({ default: (await import("./Start")).Start }));

/**
 * The three ways to begin, while nothing but water stands on the sheet. They need scripts, so they are not sent ready drawn: a
 * recipe pasted into a field that does not listen yet would vanish.
 */
export function StartPart() {
  const { editor, isDraft, sheet, readings, known } = useSheet();
  const [isScripted, setScripted] = useState(false);
  useEffect(() => setScripted(true), []);
  if (!isScripted || !isDraft || editor.typed.lines.length > 1) return null;
  return (
    <Suspense>
      <Start
        profile={readings.formula.profile}
        profileName={readings.profile.name}
        aim={editor.typed.aim}
        earlier={sheet.earlier}
        onTake={(lines, phases, found, store, head) => {
          known.learn(found, store);
          editor.begin(begun(editor.typed, { lines, phases, ...head }));
        }}
      />
    </Suspense>
  );
}

interface Begun {
  readonly lines: readonly {
    readonly phase: string;
    readonly materialId: string;
    readonly percent: string;
    readonly takesTheRest: boolean;
    readonly assay: string;
    readonly asWritten?: string;
  }[];
  readonly phases: readonly { readonly letter: string; readonly title: string; readonly temperature: string }[];
  readonly batch: string | null;
  /** What the recipe is called; a name that was typed stays. */
  readonly name: string | null;
  readonly method?: string;
}

/** The sheet with its first lines in the place of the lone water. */
function begun(typed: TypedSheet, { lines, phases, batch, name, method }: Begun): TypedSheet {
  const ordered = phases.flatMap(({ letter }) => lines.filter(({ phase }) => phase === letter));
  const withIds = ordered.map((line) => ({ ...line, id: crypto.randomUUID() }));
  return {
    ...typed,
    name: typed.name.trim() === "" ? (name ?? "") : typed.name,
    batch: batch ?? typed.batch,
    method: method ?? typed.method ?? "",
    phases,
    lines: withIds.map(({ takesTheRest: _, ...line }) => line),
    restLineId: withIds.find(({ takesTheRest }) => takesTheRest)?.id ?? null,
  };
}
