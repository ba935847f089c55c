import { describe, expect, it } from "vitest";
import { workshop } from "../../db/demo/workshop";
import { beginSession, ensureMaker } from "../../db/makers/queries.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { appStateOn, atWorkplace, currentMakerId, database } from "../../db/workplace.server";
import { workplaceOf } from "./workplaceOf.server";

onFreshDatabase({ demo: "never" });

describe("what a request works with", () => {
  it("on this machine and on a device that was just paired: the maker of this machine", async () => {
    const state = appStateOn(database());
    expect((await workplaceOf({ state, place: "this-machine" })).makerId).toBe(workshop.id);
    expect((await workplaceOf({ state, place: "a tablet" })).makerId).toBe(workshop.id);
  });

  it("on a device with a session of its own: that session's maker, also for what a request does later", async () => {
    const state = appStateOn(database());
    const other = { id: crypto.randomUUID(), name: "Box office" };
    await ensureMaker(database(), other);
    await beginSession(database(), other.id, "box office tablet");
    const place = await workplaceOf({ state, place: "box office tablet" });
    expect(await atWorkplace(place, async () => Promise.resolve().then(currentMakerId))).toBe(other.id);
    expect(currentMakerId()).toBe(workshop.id);
  });

  it("a session is looked up once", async () => {
    const state = appStateOn(database());
    await workplaceOf({ state, place: "this-machine" });
    await expect(workplaceOf({ state: { ...state, db: null as never }, place: "this-machine" })).resolves.toMatchObject({
      makerId: workshop.id,
    });
  });
});
