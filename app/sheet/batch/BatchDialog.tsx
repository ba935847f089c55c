import { TextInput, NativeSelect, UnstyledButton } from "@mantine/core";
import { useLocalStorage } from "@mantine/hooks";
import { shownMaterial, type Material } from "@tensidrum/core/library";
import { writtenMass, writtenShort } from "@tensidrum/core/quantities";
import { type ReactNode, useState } from "react";
import { SmallDialog } from "../../components/SmallDialog";
import { useSheet } from "../SheetState";
import classes from "./BatchDialog.module.css";
import {
  fillingBatch,
  inHandBatch,
  potBatch,
  type TypedFilling,
  type TypedPot,
  usualFilling,
  usualPot,
  type WantedBatch,
} from "./batchWays";

/** How much to make: from what is to be filled, what is in hand of one material, or what the largest pot holds. */
export default function BatchDialog({ onClose }: { readonly onClose: () => void }) {
  const { readings, known, editor } = useSheet();
  const { formula, shown } = readings;
  const [filling, setFilling] = useLocalStorage<TypedFilling>({ key: "tensidrum.filling", defaultValue: usualFilling });
  const [pot, setPot] = useLocalStorage<TypedPot>({ key: "tensidrum.pot", defaultValue: usualPot });
  const materials = [...new Set(formula.lines.map(({ material }) => material))].flatMap((slug) => known.materials.bySlug.get(slug) ?? []);
  const first = materials.find(({ countsAsActive }) => countsAsActive === true) ?? materials[0];
  const [inHand, setInHand] = useState({ material: first?.slug ?? "", grams: "" });
  const type = (step: Partial<TypedFilling>) => setFilling({ ...filling, ...step });
  const make = (grams: number) => {
    editor.head("batch", writtenShort(grams, 1));
    onClose();
  };
  return (
    <SmallDialog title="How much to make" onClose={onClose}>
      <p className={classes.now}>
        Now {writtenMass(formula.batchGrams)}. The percentages stay; every gram changes with the batch, and Undo takes it back.
      </p>
      <Way
        title="To fill containers"
        wanted={fillingBatch(filling, shown.densityGramsPerMl)}
        isBegun={filling.containers !== ""}
        onMake={make}
      >
        <Amount words="containers" label="How many containers" value={filling.containers} onType={(containers) => type({ containers })} />
        <Amount before="of" label="Content of one container" value={filling.content} onType={(content) => type({ content })} />
        <NativeSelect
          aria-label="Unit of the content"
          value={filling.unit}
          onChange={(event) => type({ unit: event.currentTarget.value === "g" ? "g" : "mL" })}
        >
          <option>mL</option>
          <option>g</option>
        </NativeSelect>
        <span className={classes.together}>
          <Amount words="left on tools" label="Left on tools, %" unit="%" value={filling.loss} onType={(loss) => type({ loss })} />
          <Amount words="for tests" label="Taken for tests, g" unit="g" value={filling.samples} onType={(samples) => type({ samples })} />
        </span>
      </Way>
      {filling.unit === "mL" && shown.densityGramsPerMl !== null && (
        <p className={classes.fine}>At {writtenShort(shown.densityGramsPerMl, 3)} g/mL, the estimated density of this formula.</p>
      )}
      <Way
        title="To use up a material"
        wanted={inHandBatch(formula, inHand, known.materials.bySlug)}
        isBegun={inHand.grams !== ""}
        onMake={make}
      >
        <NativeSelect
          aria-label="Material in hand"
          value={inHand.material}
          onChange={(event) => setInHand({ ...inHand, material: event.currentTarget.value })}
        >
          {materials.map((material: Material) => (
            <option key={material.slug} value={material.slug}>
              {shownMaterial(material).name}
            </option>
          ))}
        </NativeSelect>
        <Amount
          words="in hand"
          label="Grams in hand"
          unit="g"
          value={inHand.grams}
          onType={(grams) => setInHand((now) => ({ ...now, grams }))}
        />
      </Way>
      <Way
        title="To fit the largest pot"
        wanted={potBatch(formula.batchGrams, pot, shown.densityGramsPerMl)}
        isBegun={pot.holds !== ""}
        onMake={make}
      >
        <Amount before="the pot holds" label="What the largest pot holds" value={pot.holds} onType={(holds) => setPot({ ...pot, holds })} />
        <NativeSelect
          aria-label="Unit of the pot"
          value={pot.unit}
          onChange={(event) => setPot({ ...pot, unit: event.currentTarget.value === "mL" ? "mL" : "L" })}
        >
          <option>L</option>
          <option>mL</option>
        </NativeSelect>
        <Amount
          words="left free to stir"
          label="Left free to stir, %"
          unit="%"
          value={pot.free}
          onType={(free) => setPot({ ...pot, free })}
        />
      </Way>
    </SmallDialog>
  );
}

interface WayProps {
  readonly title: string;
  readonly wanted: WantedBatch;
  /** Before anything is typed there is nothing to complain of. */
  readonly isBegun: boolean;
  readonly onMake: (grams: number) => void;
  readonly children: ReactNode;
}

function Way({ title, wanted, isBegun, onMake, children }: WayProps) {
  return (
    <form
      className={classes.way}
      aria-label={title}
      onSubmit={(event) => {
        event.preventDefault();
        event.stopPropagation();
        if (wanted.ok) onMake(wanted.grams);
      }}
    >
      <h3>{title}</h3>
      <div className={classes.fields}>{children}</div>
      <p className={classes.answer} role="status">
        {wanted.ok && <UnstyledButton type="submit">Make {writtenMass(wanted.grams)}</UnstyledButton>}
        {wanted.ok ? wanted.note !== undefined && <span className={classes.note}> {wanted.note}</span> : isBegun && wanted.problem}
      </p>
    </form>
  );
}

interface AmountProps {
  readonly before?: string;
  readonly words?: string;
  readonly label: string;
  readonly unit?: string;
  readonly value: string;
  readonly onType: (text: string) => void;
}

function Amount({ before, words, label, unit, value, onType }: AmountProps) {
  return (
    <label className={classes.amount}>
      {before}
      <TextInput
        inputMode="decimal"
        autoComplete="off"
        aria-label={label}
        value={value}
        onChange={(event) => onType(event.currentTarget.value)}
      />
      {unit} {words}
    </label>
  );
}
