import { Modal, TextInput, UnstyledButton } from "@mantine/core";
import { readingOf } from "@tensidrum/core/assessment";
import { type Formula } from "@tensidrum/core/formula";
import { cornerCharges, cornerShares, rebalance, type CornerCharge, type CornerShares } from "@tensidrum/core/surfactants";
import { shownMaterial, type MaterialsBySlug } from "@tensidrum/core/library";
import { percentText, toDecimals, written, writtenShort } from "@tensidrum/core/quantities";
import { useDeferredValue, useMemo, useRef, useState } from "react";
import { ChargeTag } from "../../components/ChargeSign";
import { PictureDownload } from "../../components/PictureDownload";
import { type Ghost, sharesText, Triangle } from "../../pictures/Triangle/Triangle";
import { EstimateMark } from "../../components/estimates/EstimateMark";
import { AddOne } from "./AddOne";
import classes from "./BlendDialog.module.css";
import { fieldNames, fieldOf, type FieldName } from "./fields";
import { useTriangle } from "./useTriangle";
import { DataTable } from "../../components/DataTable";

export interface BlendDialogProps {
  readonly formula: Formula;
  readonly materials: MaterialsBySlug;
  readonly ghosts: readonly Ghost[];
  readonly isDraft: boolean;
  readonly onKeep: (percents: readonly { readonly line: string; readonly percent: string }[]) => void;
  readonly onClose: () => void;
}

/** Shares are kept with so many decimals, % w/w. */
const KEPT_DECIMALS = 3;

/** The blend triangle over the Sheet: drag the point, see what it would do, keep it or go back. */
export default function BlendDialog({ formula, materials, ghosts, isDraft, onKeep, onClose }: BlendDialogProps) {
  const picture = useRef<SVGSVGElement>(null);
  const was = useMemo(() => cornerShares(formula, materials), [formula, materials]);
  const [wished, setWished] = useState<{ readonly of: Formula; readonly shares: CornerShares } | null>(null);
  // A wish belongs to the formula it was made for; a cleanser that comes in begins anew.
  const wish = wished?.of === formula ? wished.shares : was;
  const setWish = (shares: CornerShares) => setWished({ of: formula, shares });
  const [fieldName, setFieldName] = useState<FieldName>("irritation");
  const before = useMemo(() => readingOf(formula, materials).readings, [formula, materials]);
  const moved = useMemo(() => (wish === null ? null : rebalance(formula, wish, materials)), [wish, formula, materials]);
  const deferredFormula = useDeferredValue(moved?.formula ?? formula);
  const now = useMemo(() => readingOf(deferredFormula, materials).readings, [deferredFormula, materials]);
  const answer = useTriangle(formula, materials, before.looseOilPercent);
  const field = useMemo(() => (answer === null ? null : fieldOf(answer, fieldName)), [answer, fieldName]);

  const keep = () => {
    if (moved === null || !isDraft) return;
    onKeep(moved.percents.map(({ line, percent }) => ({ line, percent: percentText(toDecimals(percent, KEPT_DECIMALS)) })));
  };
  const shift = (change: Partial<CornerShares>) => {
    if (moved !== null) setWish(shifted(moved.shares, change));
  };
  return (
    <Modal.Root
      opened
      fullScreen
      onClose={onClose}
      onKeyDown={(event) => {
        if (
          event.key === "Enter" &&
          (event.target as HTMLElement).tagName !== "INPUT" &&
          (event.target as HTMLElement).tagName !== "BUTTON"
        )
          keep();
      }}
    >
      <Modal.Content aria-label="Balance of the cleansers">
        <Modal.Body className={classes.dialog}>
          <header className={classes.head}>
            <h2 id="balance-head">Balance of the cleansers</h2>
            <span className={classes.fields}>
              Colour the field by{" "}
              {fieldNames.map(({ name, words }) => (
                <UnstyledButton key={name} type="button" aria-pressed={name === fieldName} onClick={() => setFieldName(name)}>
                  {words}
                </UnstyledButton>
              ))}
            </span>
            <PictureDownload name="blend-triangle" picture={picture} />
            <UnstyledButton type="button" className={classes.back} onClick={onClose}>
              Back <kbd>Esc</kbd>
            </UnstyledButton>
            {isDraft && (
              <UnstyledButton type="button" className={classes.keep} onClick={keep}>
                Keep this balance <kbd>Enter</kbd>
              </UnstyledButton>
            )}
          </header>
          {was === null || moved === null ? (
            <p className={classes.sentence}>There are no cleansers to balance yet.</p>
          ) : (
            <div className={classes.columns}>
              <div>
                <Triangle
                  field={field}
                  now={moved.shares}
                  was={was}
                  ghosts={ghosts}
                  svgRef={picture}
                  label={`Blend triangle. Now ${sharesText(moved.shares)}. Arrow keys move the point by 1 %, with Shift by 0.1 %.`}
                  onMove={setWish}
                  onNudge={shift}
                />
                <p className={classes.legend}>
                  {cornerCharges.some((charge) => was[charge] === 0) && "The field is drawn once all three types are there. "}
                  Lighter is {fieldName === "irritation" ? "milder; lines at 60, 120 and 200" : "less foam"}. Dotted: 20 and 50 %
                  amphoteric, usual for the face. <kbd>←</kbd> <kbd>→</kbd> <kbd>↑</kbd> <kbd>↓</kbd> 1 %, <kbd>Shift</kbd> 0.1 %.
                </p>
              </div>
              <div className={classes.beside} aria-live="polite">
                <p className={classes.sentence}>
                  {sentenceOf(before.irritation?.load ?? null, now.irritation?.load ?? null, now.irritation?.band ?? null)}
                </p>
                {moved.stopped === "rest-used-up" && <p className={classes.stopped}>The point stops here: the q.s. line is used up.</p>}
                {moved.stopped === "type-missing" && <p className={classes.stopped}>It moves only along the types that are there.</p>}
                {isDraft &&
                  cornerCharges
                    .filter((charge) => was[charge] === 0)
                    .map((charge) => <AddOne key={charge} charge={charge} formula={formula} materials={materials} />)}
                <LinesTable formula={formula} percents={moved.percents} materials={materials} />
                <DataTable className={classes.table}>
                  <caption>What it would do</caption>
                  <thead>
                    <tr>
                      <th scope="col">reading</th>
                      <th scope="col">was</th>
                      <th scope="col">now</th>
                    </tr>
                  </thead>
                  <tbody>
                    <Reading name="irritation" was={before.irritation?.load} now={now.irritation?.load} decimals={0} mark="irritation" />
                    <Reading name="initial foam" was={before.foam?.flash} now={now.foam?.flash} decimals={1} mark="foam" />
                    <Reading name="density" was={before.foam?.density} now={now.foam?.density} decimals={1} />
                    <Reading name="stability" was={before.foam?.stability} now={now.foam?.stability} decimals={1} />
                    <Reading name="salt, %" was={before.saltPercent} now={now.saltPercent} decimals={2} />
                  </tbody>
                </DataTable>
                <fieldset className={classes.steppers}>
                  <legend>Or type the shares; the ratio inside each charge type stays the same</legend>
                  {cornerCharges.map((charge) => (
                    <Stepper
                      key={charge}
                      charge={charge}
                      value={moved.shares[charge]}
                      onSet={(value) => shift({ [charge]: value - moved.shares[charge] })}
                    />
                  ))}
                </fieldset>
                <p className={classes.legend}>
                  <strong>Thickness is not on this map.</strong> A blend with other shares wants jars of its own.
                </p>
              </div>
            </div>
          )}
        </Modal.Body>
      </Modal.Content>
    </Modal.Root>
  );
}

/** Shares after one of them changed; the others give way in their proportion. */
function shifted(shares: CornerShares, change: Partial<CornerShares>): CornerShares {
  const wanted = { anionic: 0, amphoteric: 0, nonionic: 0 };
  const touched = cornerCharges.filter((charge) => change[charge] !== undefined);
  for (const charge of cornerCharges) wanted[charge] = Math.min(100, Math.max(0, shares[charge] + (change[charge] ?? 0)));
  const fixed = touched.reduce((sum, charge) => sum + wanted[charge], 0);
  const others = cornerCharges.filter((charge) => !touched.includes(charge));
  const left = Math.max(0, 100 - fixed);
  const sum = others.reduce((total, charge) => total + shares[charge], 0);
  for (const charge of others) wanted[charge] = sum > 0 ? (left * shares[charge]) / sum : left / others.length;
  return wanted;
}

function sentenceOf(was: number | null, now: number | null, band: string | null): string {
  if (was === null || now === null || band === null) return "Irritation cannot be estimated for this blend.";
  const [from, to] = [Math.round(was), Math.round(now)];
  if (from === to) return `Irritation stays at ${to}: ${band}.`;
  return `Irritation ${to < from ? "falls" : "rises"} from ${from} to ${to}: ${band}.`;
}

function LinesTable({
  formula,
  percents,
  materials,
}: {
  readonly formula: Formula;
  readonly percents: readonly { readonly line: string; readonly percent: number }[];
  readonly materials: MaterialsBySlug;
}) {
  const lineOf = new Map(formula.lines.map((line) => [line.id, line]));
  return (
    <DataTable className={classes.table}>
      <caption>What the lines become</caption>
      <thead>
        <tr>
          <th scope="col">material</th>
          <th scope="col">was %</th>
          <th scope="col">now %</th>
          <th scope="col">g of {writtenShort(formula.batchGrams, 3)}</th>
        </tr>
      </thead>
      <tbody>
        {percents.map(({ line: id, percent }) => {
          const line = lineOf.get(id);
          const material = materials.get(line?.material ?? "");
          return (
            <tr key={id}>
              <th scope="row">
                {material?.charge != null && <ChargeTag charge={material.charge} />}{" "}
                {material === undefined ? id : shownMaterial(material).name}
              </th>
              <td>{written(line?.percent ?? 0, 2)}</td>
              <td className={classes.nowCell}>{written(percent, 2)}</td>
              <td>{written((percent * formula.batchGrams) / 100, 1)}</td>
            </tr>
          );
        })}
      </tbody>
    </DataTable>
  );
}

function Reading({
  name,
  was,
  now,
  decimals,
  mark,
}: {
  readonly name: string;
  readonly was: number | undefined;
  readonly now: number | undefined;
  readonly decimals: number;
  readonly mark?: "irritation" | "foam";
}) {
  const shown = (value: number | undefined) => (value === undefined ? "not known" : written(value, decimals));
  return (
    <tr>
      <th scope="row">
        {name} {mark !== undefined && <EstimateMark of={mark} />}
      </th>
      <td>{shown(was)}</td>
      <td className={classes.nowCell}>{shown(now)}</td>
    </tr>
  );
}

function Stepper({
  charge,
  value,
  onSet,
}: {
  readonly charge: CornerCharge;
  readonly value: number;
  readonly onSet: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <label className={classes.stepper}>
      <ChargeTag charge={charge} />
      <UnstyledButton type="button" aria-label={`Less ${charge}`} onClick={() => onSet(value - 1)}>
        −
      </UnstyledButton>
      <TextInput
        inputMode="decimal"
        aria-label={`Share of ${charge}, %`}
        value={typed ?? writtenShort(value, 1)}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          const number = Number(event.currentTarget.value.replace(",", "."));
          if (event.currentTarget.value.trim() !== "" && number >= 0 && number <= 100) onSet(number);
        }}
        onBlur={() => setTyped(null)}
      />
      <UnstyledButton type="button" aria-label={`More ${charge}`} onClick={() => onSet(value + 1)}>
        +
      </UnstyledButton>
    </label>
  );
}
