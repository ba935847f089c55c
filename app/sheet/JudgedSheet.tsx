import type { WordedNotJudged } from "@tensidrum/core/assessment";
import type { WordedFinding } from "@tensidrum/core/assessment";
import { createContext, type ReactNode, useContext, useMemo, useRef } from "react";
import { findingTags, tagsKey } from "./lines/findingTags";
import { useSheet } from "./SheetState";
import type { SheetReadings } from "./useReadings";
import { useDebounced } from "./useDebounced";
import { useRules } from "./useRules";
import { useUnchanged } from "./useUnchanged";

/** What the last change of the aim did: findings it brought up and findings it settled. */
export interface AimEffect {
  readonly come: readonly string[];
  readonly gone: readonly string[];
}

export interface Judged {
  readonly findings: readonly WordedFinding[];
  readonly notJudged: readonly WordedNotJudged[];
  readonly aimEffect: AimEffect | null;
}

const JudgedContext = createContext<Judged>({ findings: [], notJudged: [], aimEffect: null });
const PausedContext = createContext<SheetReadings | null>(null);
const TagsContext = createContext<Readonly<Record<string, string>>>({});

/** Which numbered findings speak of which line, as `tagsKey` writes them. */
export function useFindingTags(): Readonly<Record<string, string>> {
  return useContext(TagsContext);
}

/**
 * Readings of the sheet round about for a part that may be off the screen: there they follow once typing pauses, in sight
 * at every key.
 */
export function useReadingsInSight(isInSight: boolean): SheetReadings {
  const { readings } = useSheet();
  const paused = useContext(PausedContext);
  return isInSight || paused === null ? readings : paused;
}

/** What the rules say of the sheet round about. */
export function useJudged(): Judged {
  return useContext(JudgedContext);
}

/** The rules speak once typing has paused this long; in the middle of a number they would only flicker. */
const PAUSE_MILLISECONDS = 150;

/**
 * Lets the rules speak on what is typed once it stands still. Only parts that ask draw again, and only when the rules say
 * something else.
 */
export function JudgedSheet({ children }: { readonly children: ReactNode }) {
  const { readings, sheet } = useSheet();
  const paused = useDebounced(readings, PAUSE_MILLISECONDS);
  const { formula, reading } = paused;
  const rules = useRules(reading);
  const { storedAssessment: stored, judgement } = sheet;
  const { findings, notJudged } = useMemo(() => stored ?? rules?.(reading) ?? judgement, [stored, rules, reading, judgement]);
  const aim = JSON.stringify([formula.profile, formula.school, formula.eyeArea, formula.wantsClear, formula.leftOn, formula.aim]);
  const aimEffect = useAimEffect(aim, findings);
  const judged = useUnchanged<Judged>(useMemo(() => ({ findings, notJudged, aimEffect }), [findings, notJudged, aimEffect]));
  const tags = useUnchanged(useMemo(() => lineTags(findings), [findings]));
  return (
    <PausedContext.Provider value={paused}>
      <TagsContext.Provider value={tags}>
        <JudgedContext.Provider value={judged}>{children}</JudgedContext.Provider>
      </TagsContext.Provider>
    </PausedContext.Provider>
  );
}

function lineTags(findings: readonly WordedFinding[]): Readonly<Record<string, string>> {
  return Object.fromEntries([...findingTags(findings)].map(([line, tags]) => [line, tagsKey(tags)]));
}

/** Compares the findings before and after a change of the aim; the next change of anything else ends it. */
function useAimEffect(aim: string, findings: readonly WordedFinding[]): AimEffect | null {
  const last = useRef<{ aim: string; findings: readonly WordedFinding[]; effect: AimEffect | null }>({ aim, findings, effect: null });
  if (last.current.aim !== aim) {
    const before = new Set(last.current.findings.map(({ what }) => what));
    const after = new Set(findings.map(({ what }) => what));
    last.current = {
      aim,
      findings,
      effect: { come: [...after].filter((what) => !before.has(what)), gone: [...before].filter((what) => !after.has(what)) },
    };
  } else if (last.current.findings !== findings) {
    last.current = { aim, findings, effect: null };
  }
  return last.current.effect;
}
