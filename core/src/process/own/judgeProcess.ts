import type { OwnProcess, ResolvedLine } from "../../formula/types.ts";
import { shownMaterial } from "../../library/shownMaterial.ts";
import { ROOM_C } from "../../quantities/roomTemperature.ts";
import type { Step, StepList, VesselId } from "../step.ts";

/** What the rules say of the maker's order, as code and facts. */
export type ProcessFinding =
  | { readonly code: "comes-later"; readonly severity: "fix"; readonly step: string; readonly before: string }
  | { readonly code: "needs-heat"; readonly severity: "fix"; readonly step: string; readonly material: string }
  | { readonly code: "left-out"; readonly severity: "consider"; readonly step: string }
  | {
      readonly code: "too-hot";
      readonly severity: "stop";
      readonly step: string;
      readonly material: string;
      readonly atMostC: number;
      readonly temperatureC: number;
    };

/** Steps whose absence nobody would miss. */
const MAY_GO = new Set(["prepare", "fill"]);

/**
 * What the rules would do otherwise: a step before one it is suggested to follow, a suggested step that is left out, and a
 * line that goes in hotter than it is stable to. A step whose maker said why it stays is not spoken of.
 */
export function judgeProcess(
  own: StepList,
  suggested: StepList,
  { process, lines }: { readonly process: OwnProcess; readonly lines: readonly ResolvedLine[] },
): readonly ProcessFinding[] {
  const kept = new Set(process.steps.filter(({ because = "" }) => because !== "").map(({ id }) => id));
  const at = new Map(own.steps.map(({ id }, index) => [id, index]));
  const findings: ProcessFinding[] = [];
  for (const step of suggested.steps) {
    const here = at.get(step.id);
    if (here === undefined) {
      if (!MAY_GO.has(step.id)) findings.push({ code: "left-out", severity: "consider", step: step.id });
      continue;
    }
    if (kept.has(step.id)) continue;
    const late = step.after.find((id) => (at.get(id) ?? -1) > here);
    if (late !== undefined) findings.push({ code: "comes-later", severity: "fix", step: step.id, before: late });
  }
  const cold = process.choices?.route === "cold" ? neverWarm(own.steps, lines) : [];
  return [...[...tooHot(own.steps, lines), ...cold].filter(({ step }) => !kept.has(step)), ...findings];
}

/** Cleansers that clear only when they are warm, in a batch that is made cold. */
function neverWarm(steps: readonly Step[], lines: readonly ResolvedLine[]): readonly (ProcessFinding & { readonly code: "needs-heat" })[] {
  const needing = lines.filter(
    ({ material, percent }) => percent > 0 && material.role === "surfactant" && material.flags.includes("needs-heat"),
  );
  return needing.flatMap(({ line, material }) => {
    const step = steps.find((one) => one.lines.includes(line.id));
    return step === undefined || step.stage === "heat"
      ? []
      : [{ code: "needs-heat", severity: "fix", step: step.id, material: shownMaterial(material).name } as const];
  });
}

/** Lines that go into a beaker hotter than their material is stable to. */
function tooHot(steps: readonly Step[], lines: readonly ResolvedLine[]): readonly (ProcessFinding & { readonly code: "too-hot" })[] {
  const byId = new Map(lines.map((resolved) => [resolved.line.id, resolved]));
  const vesselOf = new Map(steps.map(({ id, vessel }) => [id, vessel]));
  const hot = new Map<VesselId, number>();
  return steps.flatMap(({ id, vessel, stage, temperature, lines: held, after }) => {
    if (vessel === null) return [];
    const joined = after.flatMap((before) => hot.get(vesselOf.get(before) ?? vessel) ?? []);
    const arriving = Math.max(hot.get(vessel) ?? ROOM_C, ...joined);
    const { low, high } = temperature ?? {};
    const temperatureC =
      high === undefined ? arriving : stage === "heat" || low !== undefined ? Math.max(low ?? 0, high - 5) : Math.min(high, arriving);
    hot.set(vessel, temperatureC);
    return held.flatMap((line) => {
      const material = byId.get(line)?.material;
      const most = material?.maxTemperatureC ?? null;
      if (material === undefined || most === null || temperatureC <= most) return [];
      return [
        { code: "too-hot", severity: "stop", step: id, material: shownMaterial(material).name, atMostC: most, temperatureC } as const,
      ];
    });
  });
}

/** A finding in words. */
export function processWords(finding: ProcessFinding, own: StepList, suggested: StepList): string {
  const titleOf = (id: string): string => [...own.steps, ...suggested.steps].find((step) => step.id === id)?.title ?? id;
  const whyOf = (id: string): string => suggested.steps.find((step) => step.id === id)?.why ?? "";
  switch (finding.code) {
    case "comes-later":
      return `"${titleOf(finding.before)}" is suggested before "${titleOf(finding.step)}". ${whyOf(finding.before)}`;
    case "left-out":
      return `"${titleOf(finding.step)}" is left out. ${whyOf(finding.step)}`;
    case "needs-heat":
      return `${finding.material} clears only when it is warm: cold it may stay lumpy for a day. Choose the warm route, or keep it with a reason.`;
    case "too-hot":
      return `${finding.material} goes in at about ${finding.temperatureC} °C and is stable to ${finding.atMostC} °C. Cool the batch first, or move it to a later step.`;
  }
}
