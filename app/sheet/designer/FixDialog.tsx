import "@mantine/core/styles/Loader.layer.css";
import { Button, Loader, NativeSelect, Text } from "@mantine/core";
import { costOfSheet, type DesignedBlend } from "@tensidrum/core/design";
import { shownMaterial, wholeMaterial } from "@tensidrum/core/library";
import { written } from "@tensidrum/core/quantities";
import { useEffect, useMemo, useState } from "react";
import { Link } from "react-router";
import { SmallDialog } from "../../components/SmallDialog";
import { useTakeBlend } from "../blend/useTakeBlend";
import { useSheet } from "../SheetState";
import type { OpenDesigner } from "./designer.server";
import { partsWords } from "./designWords";
import { fixesOfSheet } from "./fixesOfSheet";
import classes from "./FixDialog.module.css";
import { progressWords } from "./progressWords";
import { ProposalPart } from "./ProposalPart";
import { proposalsOf } from "./proposals";
import { useDesign } from "./useDesign";
import { wishesOf } from "./wishesOf";

interface FixDialogProps {
  readonly onClose: () => void;
  /**
   * A blend was taken into the sheet.
   * @param inTheWay Why it was not; null where it was.
   * @param sentence What is told of it, and kept in the note.
   */
  readonly onTaken: (inTheWay: string | null, sentence: string) => void;
}

/** Fixes the sheet by search: what is to be better, and three proposals with what each would change. */
export default function FixDialog({ onClose, onTaken }: FixDialogProps) {
  const { sheet } = useSheet();
  const { open, hasFailed, again } = useOpened(`/designer/${sheet.formulaId}/${sheet.number}/question.json`);
  return (
    <SmallDialog title="Fix the blend" size={980} onClose={onClose}>
      {open !== null ? (
        <Fixing open={open} onTaken={onTaken} />
      ) : hasFailed ? (
        <Text role="alert">
          The shelf and the library could not be read.{" "}
          <Button variant="subtle" h={36} onClick={again}>
            Try again
          </Button>
        </Text>
      ) : (
        <Text role="status">
          <Loader size="sm" aria-hidden="true" /> Looking at what can be taken …
        </Text>
      )}
    </SmallDialog>
  );
}

function useOpened(path: string) {
  const [open, setOpen] = useState<OpenDesigner | null>(null);
  const [hasFailed, setFailed] = useState(false);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    const gone = new AbortController();
    const load = async (): Promise<void> => {
      const response = await fetch(path, { signal: gone.signal });
      if (!response.ok) throw new Error(`${response.status}`);
      setOpen((await response.json()) as OpenDesigner);
    };
    load().catch(() => {
      if (!gone.signal.aborted) setFailed(true);
    });
    return () => gone.abort();
  }, [path, tries]);
  const again = (): void => {
    setFailed(false);
    setTries((count) => count + 1);
  };
  return { open, hasFailed, again };
}

interface FixingProps {
  readonly open: OpenDesigner;
  readonly onTaken: FixDialogProps["onTaken"];
}

function Fixing({ open, onTaken }: FixingProps) {
  const takeBlend = useTakeBlend();
  const { readings } = useSheet();
  const { formula, shown } = readings;
  const present = useMemo(() => {
    const cleansers = new Set(open.choices.map(({ slug }) => slug));
    return formula.lines.flatMap(({ material, percent }) =>
      cleansers.has(material) && percent !== undefined ? [{ material, percent }] : [],
    );
  }, [formula, open.choices]);
  const prices = useMemo(() => new Map(open.shelf.map(([slug, { price }]) => [slug, price])), [open.shelf]);
  const { irritation, foam, activeMatter } = shown;
  // What is typed counts, saved or not.
  const fixes =
    irritation === null || foam === null
      ? []
      : fixesOfSheet(
          {
            ...{ irritation: irritation.load, flash: foam.flash, activePercent: activeMatter.percent },
            present: present.map(({ material }) => material),
          },
          { ...open, shelf: new Set(open.shelf.map(([slug]) => slug)) },
        );
  const [at, setAt] = useState(0);
  const fix = fixes[at] ?? fixes[0];
  const query = fix?.query ?? "";
  const asked = useMemo(() => ({ ...open, formula }), [open, formula]);
  const materials = useMemo(() => open.materials.map(wholeMaterial), [open.materials]);
  const wishes = useMemo(() => wishesOf(new URLSearchParams(query), open.usual), [query, open.usual]);
  const { designing, stop } = useDesign(asked, materials, wishes);
  const names = useMemo(() => new Map(materials.map((material) => [material.slug, shownMaterial(material).name])), [materials]);
  const nameOf = (slug: string): string => names.get(slug) ?? slug;
  if (fix === undefined || irritation === null || foam === null)
    return <Text>There is nothing to fix yet: add a surfactant with an amount.</Text>;
  const take = async ({ lines }: DesignedBlend, sentence: string): Promise<void> => {
    const unread = () => "The library could not be read. Nothing was changed; try again.";
    onTaken(await takeBlend({ lines }).catch(unread), sentence);
  };
  const { state, isStale, isStopped, refused } = designing;
  const isOver = (state?.isOver === true || isStopped) && !isStale;
  const proposals = state === null || isStale ? [] : proposalsOf(state);
  const cost = costOfSheet(readings.reading.read.sheet.lines, (slug) => prices.get(slug) ?? null);
  return (
    <>
      <NativeSelect
        label="What is to be better"
        value={String(Math.min(at, fixes.length - 1))}
        onChange={(event) => setAt(Number(event.currentTarget.value))}
        data={fixes.map(({ words }, place) => ({ value: String(place), label: words }))}
      />
      <Text role="status" my="sm">
        {refused === null ? progressWords(designing) : `${refused.message} ${refused.remedy}`}
        {!isOver && refused === null && <Loader size="sm" ml="sm" aria-hidden="true" />}
        {!isOver && state !== null && !isStale && (
          <Button variant="subtle" h={36} onClick={stop}>
            Stop here
          </Button>
        )}
      </Text>
      {isOver && proposals.length === 0 && (
        <Text>
          No blend does that. <Link to={`/designer/${open.formulaId}/${open.number}?${query}`}>See which wish is in the way</Link>
        </Text>
      )}
      <div className={classes.proposals}>
        {proposals.map(({ name, blend }) => (
          <ProposalPart
            key={name}
            name={name}
            blend={blend}
            present={present}
            now={{ irritation: irritation.load, flash: foam.flash, cost: open.usual.against === "cost" ? cost : null }}
            money={open.currency}
            nameOf={nameOf}
            onTake={() =>
              void take(blend, `Fixed, ${fix.words}: ${partsWords(blend, nameOf)}; irritation ${written(blend.irritation, 0)}.`)
            }
          />
        ))}
      </div>
      {proposals.length > 0 && (
        <Text c="var(--ink-2)" mt="md">
          Estimates to rank blends by; thickness and feel are not in them.{" "}
          <Link to={`/designer/${open.formulaId}/${open.number}?${query}`}>See every blend that does it</Link>
        </Text>
      )}
    </>
  );
}
