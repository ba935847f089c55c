import { NativeSelect } from "@mantine/core";
import type { BenchAgent } from "@tensidrum/core/process";
import classes from "./Tuning.module.css";
import type { Agents } from "./useAgents";

/** Which acid and which base are dosed. */
export function AgentChoice({ agents }: { readonly agents: Agents }) {
  return (
    <div className={classes.solutions}>
      {(["acid", "base"] as const).map((kind) => (
        <label key={kind}>
          {kind}{" "}
          <NativeSelect value={agents[kind].name} onChange={(event) => agents.choose({ kind, name: event.currentTarget.value })}>
            {agentGroups(agents.all.filter((one) => one.kind === kind)).map(({ from, those }) => (
              <optgroup key={from} label={from}>
                {those.map(({ name }) => (
                  <option key={name}>{name}</option>
                ))}
              </optgroup>
            ))}
          </NativeSelect>
        </label>
      ))}
    </div>
  );
}

/** Solutions by where they come from; what there is none of is left out. */
function agentGroups(agents: readonly BenchAgent[]) {
  const groups = [
    { from: "in the formula", those: agents.filter(({ line }) => line !== null) },
    { from: "on the shelf", those: agents.filter(({ lot }) => lot !== undefined) },
    { from: "usual strengths", those: agents.filter(({ line, lot }) => line === null && lot === undefined) },
  ];
  return groups.filter(({ those }) => those.length > 0);
}
