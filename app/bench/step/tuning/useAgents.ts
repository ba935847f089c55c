import { agentsOf, type BenchAgent, type WeighableAgent } from "@tensidrum/core/process";
import { useMemo, useState } from "react";
import { useBench } from "../bench";

type Kind = "acid" | "base";

/** A solution picked because the dose of another one could not be weighed. */
export interface Picked {
  readonly offer: WeighableAgent;
  /** What would have been dosed. */
  readonly instead: { readonly name: string; readonly grams: number };
  readonly of: Readonly<Partial<Record<Kind, string>>>;
}

export interface Agents {
  readonly all: readonly BenchAgent[];
  readonly acid: BenchAgent;
  readonly base: BenchAgent;
  /** The maker has said which one of a kind to use. */
  isChosen(kind: Kind): boolean;
  choose(agent: Pick<BenchAgent, "kind" | "name">): void;
  /** The last solution that was picked and is in use; null for none. */
  readonly picked: Picked | null;
  pick(offer: WeighableAgent, instead: Picked["instead"]): void;
}

/** The acid and the base in use: as chosen, else as picked by the dose, else the first at hand. */
export function useAgents(): Agents {
  const { view, plan } = useBench();
  const all = useMemo(() => agentsOf(plan, view.standing), [plan, view.standing]);
  const [chosen, setChosen] = useState<Readonly<Partial<Record<Kind, string>>>>({});
  const [picked, setPicked] = useState<Picked | null>(null);
  const nameOf = (kind: Kind): string | undefined => chosen[kind] ?? picked?.of[kind];
  const isInUse = picked !== null && nameOf(picked.offer.agent.kind) === picked.offer.agent.name;
  return {
    all,
    acid: agentNamed(all, "acid", nameOf("acid")),
    base: agentNamed(all, "base", nameOf("base")),
    isChosen: (kind) => chosen[kind] !== undefined,
    choose: ({ kind, name }) => setChosen((before) => ({ ...before, [kind]: name })),
    picked: isInUse ? picked : null,
    pick: (offer, instead) => setPicked((before) => ({ offer, instead, of: { ...before?.of, [offer.agent.kind]: offer.agent.name } })),
  };
}

function agentNamed(agents: readonly BenchAgent[], kind: Kind, name: string | undefined): BenchAgent {
  const found = agents.find((one) => one.kind === kind && one.name === name) ?? agents.find((one) => one.kind === kind);
  if (found === undefined) throw new Error(`no ${kind} at the bench`);
  return found;
}
