import { Button, Stack } from "@mantine/core";
import type { DesignedBlend, Reason, Robust, Step } from "@tensidrum/core/design";
import type { Charge } from "@tensidrum/core/library";
import { written, writtenShort } from "@tensidrum/core/quantities";
import { ChargeTag } from "../../components/ChargeSign";
import { DataTable } from "../../components/DataTable";
import { EstimateMark } from "../../components/estimates/EstimateMark";
import classes from "./Designer.module.css";
import { capital, reasonWords, wishWords } from "./designWords";

interface ChosenProps {
  readonly blend: DesignedBlend;
  readonly held: DesignedBlend | null;
  readonly robust: Robust | null;
  readonly why: { readonly reasons: readonly Reason[]; readonly steps: readonly Step[] } | null;
  readonly nameOf: (slug: string) => string;
  readonly chargeOf: (slug: string) => Charge | null;
  readonly money: string;
  readonly hasCost: boolean;
  readonly isHeld: boolean;
  readonly onHold: () => void;
}

/** One blend: its lines, what it comes out with, why each surfactant is in it, and what giving way would buy. */
export function Chosen({ blend, held, robust, why, nameOf, chargeOf, money, hasCost, isHeld, onHold }: ChosenProps) {
  const other = isHeld ? null : held;
  const slugs = [...new Set([...blend.lines, ...(other?.lines ?? [])].map(({ material }) => material))];
  const lineOf = (of: DesignedBlend, slug: string) => of.lines.find(({ material }) => material === slug);
  const reasonOf = (slug: string) => why?.reasons.find(({ material }) => material === slug);
  return (
    <div className={classes.chosen}>
      <div>
        <DataTable isRuled>
          <caption>This blend</caption>
          <thead>
            <tr>
              <th scope="col">surfactant</th>
              <th scope="col" data-number>
                as supplied, %
              </th>
              <th scope="col" data-number>
                active, %
              </th>
              {other !== null && (
                <th scope="col" data-number>
                  held, %
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {slugs.map((slug) => {
              const line = lineOf(blend, slug);
              const charge = chargeOf(slug);
              const reason = reasonOf(slug);
              return (
                <tr key={slug}>
                  <th scope="row">
                    {charge !== null && <ChargeTag charge={charge} />} {nameOf(slug)}
                    {reason !== undefined && line !== undefined && (
                      <div className={classes.reason}>
                        <small>{reasonWords(reason, blend, money)}</small>
                      </div>
                    )}
                  </th>
                  <td data-number>{line === undefined ? "" : written(line.percent, 2)}</td>
                  <td data-number>{line === undefined ? "" : written(line.activePercent, 2)}</td>
                  {other !== null && <td data-number>{written(lineOf(other, slug)?.percent ?? 0, 2)}</td>}
                </tr>
              );
            })}
          </tbody>
        </DataTable>
      </div>
      <Stack gap="sm">
        <DataTable isRuled>
          <caption>What it comes out with</caption>
          <thead>
            <tr>
              <th scope="col">reading</th>
              <th scope="col" data-number>
                this
              </th>
              {other !== null && (
                <th scope="col" data-number>
                  held
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            <Row name="active matter, %" of={({ activePercent }) => written(activePercent, 2)} blend={blend} other={other} />
            <tr>
              <th scope="row">
                irritation <EstimateMark of="irritation" />
                {robust !== null && (
                  <div className={classes.reason}>
                    <small>
                      {written(robust.irritation.low, 0)} to {written(robust.irritation.high, 0)} in nine of ten drawn worlds
                    </small>
                  </div>
                )}
              </th>
              <td data-number>{written(blend.irritation, 0)}</td>
              {other !== null && <td data-number>{written(other.irritation, 0)}</td>}
            </tr>
            <Row name="initial foam" of={({ flash }) => written(flash, 1)} blend={blend} other={other} />
            <Row name="foam stability" of={({ stability }) => written(stability, 1)} blend={blend} other={other} />
            {hasCost && (
              <Row
                name={`cost of 100 g${money}`}
                of={({ cost }) => (cost === null ? "not known" : written(cost, 2))}
                blend={blend}
                other={other}
              />
            )}
            <Row name="change of the sheet, %" of={({ changePercent }) => written(changePercent, 2)} blend={blend} other={other} />
            <Row name="salt it brings, %" of={({ saltPercent }) => written(saltPercent, 2)} blend={blend} other={other} />
            <Row name="by the next day" of={({ clarity }) => clarity} blend={blend} other={other} />
            <Row name="salt thickens it" of={({ answersToSalt }) => (answersToSalt ? "yes" : "little")} blend={blend} other={other} />
          </tbody>
        </DataTable>
        {robust !== null && (
          <p className={classes.told}>{surenessWords(robust.stays)} The facts behind it are ranges: each world draws them anew.</p>
        )}
        {why !== null &&
          why.steps.map(({ wish, from, to, irritation }) => (
            <p key={wish} className={classes.told}>
              {capital(wishWords(wish))}: {writtenShort(to, 2)} instead of {writtenShort(from, 2)} would bring irritation from{" "}
              {written(irritation.now, 0)} to {written(irritation.then, 0)}.
            </p>
          ))}
        <Button variant="default" h={36} onClick={onHold}>
          {isHeld ? "Let go of it" : "Hold it to compare"}
        </Button>
      </Stack>
    </div>
  );
}

function surenessWords(stays: number): string {
  const of100 = Math.round(100 * stays);
  return `In ${of100} of 100 drawn worlds no other blend here is better than it in both.`;
}

interface RowProps {
  readonly name: string;
  readonly of: (blend: DesignedBlend) => string;
  readonly blend: DesignedBlend;
  readonly other: DesignedBlend | null;
}

function Row({ name, of, blend, other }: RowProps) {
  return (
    <tr>
      <th scope="row">{name}</th>
      <td data-number>{of(blend)}</td>
      {other !== null && <td data-number>{of(other)}</td>}
    </tr>
  );
}
