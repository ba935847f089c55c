import { Button } from "@mantine/core";
import type { DesignedBlend } from "@tensidrum/core/design";
import { written } from "@tensidrum/core/quantities";
import { DataTable } from "../../components/DataTable";
import classes from "./FixDialog.module.css";
import { changesOf, changeWords } from "./proposals";

interface ProposalPartProps {
  readonly name: string;
  readonly blend: DesignedBlend;
  /** Surfactants of the sheet, % as supplied. */
  readonly present: readonly { readonly material: string; readonly percent: number }[];
  /** What the sheet reads now. Cost of 100 g; null where it is not known. */
  readonly now: { readonly irritation: number; readonly flash: number; readonly cost: number | null };
  readonly money: string;
  readonly nameOf: (slug: string) => string;
  readonly onTake: () => void;
}

/** One way to fix the sheet: what changes, and what comes of it. */
export function ProposalPart({ name, blend, present, now, money, nameOf, onTake }: ProposalPartProps) {
  return (
    <section className={classes.proposal} aria-label={name}>
      <h3>{name}</h3>
      <DataTable isRuled>
        <caption>{written(blend.changePercent, 1)} % of active matter changes</caption>
        <tbody>
          {changesOf(present, blend).map((change) => (
            <tr key={change.material}>
              <th scope="row">{nameOf(change.material)}</th>
              <td data-number>{changeWords(change)}</td>
            </tr>
          ))}
          <Change name="irritation" before={now.irritation} after={blend.irritation} decimals={0} />
          <Change name="initial foam" before={now.flash} after={blend.flash} decimals={1} />
          {now.cost !== null && blend.cost !== null && (
            <Change name={`100 g${money === "" ? "" : `, ${money}`}`} before={now.cost} after={blend.cost} decimals={2} />
          )}
        </tbody>
      </DataTable>
      <Button h={44} onClick={onTake}>
        Take it
      </Button>
    </section>
  );
}

interface ChangeProps {
  readonly name: string;
  readonly before: number;
  readonly after: number;
  readonly decimals: number;
}

function Change({ name, before, after, decimals }: ChangeProps) {
  return (
    <tr data-reading>
      <th scope="row">{name}</th>
      <td data-number>
        {written(before, decimals)} → {written(after, decimals)}
      </td>
    </tr>
  );
}
