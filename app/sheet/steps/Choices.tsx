import { Checkbox, NativeSelect } from "@mantine/core";
import { shownMaterial } from "@tensidrum/core/library";
import { possibleCarriers } from "@tensidrum/core/process";
import type { ProcessChoices } from "@tensidrum/core/formula";
import classes from "./Steps.module.css";
import type { StepsState } from "./useSteps";

const preservativeWays = { water: "the water, from the start", glycerin: "the glycerin of the gum", batch: "the finished batch" } as const;

/** What can be settled before the steps are suggested: only what this formula leaves open is asked. */
export function Choices({ state }: { readonly state: StepsState }) {
  const { lines, suggested, process, choose } = state;
  const { scentInto = "", preservativeInto = "", route = "", acidInWater = false } = process.choices ?? {};
  const holds = (role: string): boolean => lines.some(({ material, percent }) => percent > 0 && material.role === role);
  if (!suggested.steps.some(({ tunes, reads }) => tunes === "ph" || reads === "ph")) return null;
  const hasSlurry = suggested.steps.some(({ code }) => code === "slurry");
  return (
    <section aria-labelledby="choices-head" className={classes.editor}>
      <h2 id="choices-head">Settle first</h2>
      <div className={classes.fields}>
        {holds("fragrance") && (
          <NativeSelect
            label="scent goes into"
            value={scentInto}
            onChange={({ currentTarget: { value } }) => choose(optional("scentInto", value))}
          >
            <option value="">as suggested</option>
            {possibleCarriers(lines).map(({ line, material }) => (
              <option key={line.id} value={line.id}>
                {shownMaterial(material).name}
              </option>
            ))}
            <option value="batch">the batch</option>
          </NativeSelect>
        )}
        {holds("preservative") && (
          <NativeSelect
            label="preservative goes into"
            value={preservativeInto}
            onChange={({ currentTarget: { value } }) => choose(optional("preservativeInto", value))}
          >
            <option value="">as suggested</option>
            {(["water", "glycerin", "batch"] as const)
              .filter((way) => way !== "glycerin" || hasSlurry || preservativeInto === "glycerin")
              .map((way) => (
                <option key={way} value={way}>
                  {preservativeWays[way]}
                </option>
              ))}
          </NativeSelect>
        )}
        {holds("surfactant") && (
          <NativeSelect
            label="cleansers are joined"
            value={route}
            onChange={({ currentTarget: { value } }) => choose(optional("route", value))}
          >
            <option value="">as suggested</option>
            <option value="cold">cold</option>
            <option value="warm">warm</option>
          </NativeSelect>
        )}
      </div>
      {holds("ph-adjuster") && (
        <Checkbox
          label="Acids and bases go into the water from the start"
          checked={acidInWater}
          onChange={({ currentTarget: { checked } }) => choose({ acidInWater: checked })}
        />
      )}
    </section>
  );
}

/** One choice; an empty one is left to the rules. */
function optional(name: "scentInto" | "preservativeInto" | "route", value: string): ProcessChoices {
  return { [name]: value === "" ? undefined : value } as ProcessChoices;
}
