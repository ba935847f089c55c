import { lazy, Suspense, useEffect, useRef } from "react";
import { useSheet } from "../SheetState";
import type { TypedSheet } from "../typed/typedSheet";

/** Only a sheet that is yet to begin needs it. */
const Start = lazy(async () => ({ default: (await import("./Start")).Start }));

/** The three ways to begin, while nothing but water stands on the sheet. */
export function StartPart() {
  const { editor, isDraft, sheet, readings, known } = useSheet();
  const { place, typed } = useTypedEarly();
  if (!isDraft || editor.typed.lines.length > 1) return null;
  return (
    <div ref={place}>
      <Suspense>
        <Start
          typedEarly={typed}
          profile={readings.formula.profile}
          profileName={readings.profile.name}
          aim={editor.typed.aim}
          earlier={sheet.earlier}
          onTake={(lines, phases, found, store, batch) => {
            known.learn(found, store);
            editor.fixWith((typed) => begun(typed, { lines, phases, batch }));
          }}
        />
      </Suspense>
    </div>
  );
}

/**
 * What is pasted into the recipe of a page that was sent ready drawn, before the scripts of that part are there: the part is
 * drawn anew then, and the text would vanish.
 */
function useTypedEarly() {
  const place = useRef<HTMLDivElement>(null);
  const typed = useRef("");
  useEffect(() => {
    const part = place.current;
    const read = () => {
      typed.current = part?.querySelector("textarea")?.value ?? typed.current;
    };
    read();
    part?.addEventListener("input", read);
    return () => part?.removeEventListener("input", read);
  }, []);
  return { place, typed };
}

interface Begun {
  readonly lines: readonly {
    readonly phase: string;
    readonly materialId: string;
    readonly percent: string;
    readonly takesTheRest: boolean;
    readonly assay: string;
  }[];
  readonly phases: readonly { readonly letter: string; readonly title: string; readonly temperature: string }[];
  readonly batch: string | null;
}

/** The sheet with its first lines in the place of the lone water. */
function begun(typed: TypedSheet, { lines, phases, batch }: Begun): TypedSheet {
  const ordered = phases.flatMap(({ letter }) => lines.filter(({ phase }) => phase === letter));
  const withIds = ordered.map((line) => ({ ...line, id: crypto.randomUUID() }));
  return {
    ...typed,
    batch: batch ?? typed.batch,
    phases,
    lines: withIds.map(({ id, phase, materialId, percent, assay }) => ({ id, phase, materialId, percent, assay })),
    restLineId: withIds.find(({ takesTheRest }) => takesTheRest)?.id ?? null,
  };
}
