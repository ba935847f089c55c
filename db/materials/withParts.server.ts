import type { Material } from "@tensidrum/core/library";
import type { Executor } from "../client.server";
import { materialsBySlug } from "./queries.server";

/** Materials: those that were named, by id, and everything they are made of, by slug. */
export interface MaterialsWithParts {
  readonly byId: ReadonlyMap<string, Material>;
  readonly bySlug: ReadonlyMap<string, Material>;
}

/** Deeper nesting than this is a mistake; core refuses it as a cycle where it is one. */
const DEEPEST = 10;

/** The given materials and all they are made of. */
export async function withParts(db: Executor, makerId: string, byId: ReadonlyMap<string, Material>): Promise<MaterialsWithParts> {
  const bySlug = new Map([...byId.values()].map((facts) => [facts.slug, facts]));
  for (let depth = 0; depth < DEEPEST; depth += 1) {
    const missing = [...bySlug.values()].flatMap((material) => material.parts ?? []).filter((part) => !bySlug.has(part.material));
    if (missing.length === 0) break;
    const parts = await materialsBySlug(db, makerId, [...new Set(missing.map((part) => part.material))]);
    if (parts.length === 0) break;
    for (const { facts } of parts) bySlug.set(facts.slug, facts);
  }
  return { byId, bySlug };
}
