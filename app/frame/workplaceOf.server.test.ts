import { describe, expect, it } from "vitest";
import { workshop } from "../../db/demo/workshop";
import { beginSession, ensureMaker } from "../../db/makers/queries.server";
import { onFreshDatabase } from "../../db/testing/onFreshDatabase";
import { appStateOn, atWorkplace, currentMakerId, database, zoneOfMachine } from "../../db/workplace.server";
import { writtenDay, writtenMoment } from "./dates.server";
import { workplaceOf } from "./workplaceOf.server";

onFreshDatabase({ demo: "never" });

describe("what a request works with", () => {
  it("on this machine and on a device that was just paired: the maker of this machine", async () => {
    const state = appStateOn(database());
    expect((await workplaceOf({ state, place: "this-machine", zone: undefined })).makerId).toBe(workshop.id);
    expect((await workplaceOf({ state, place: "a tablet", zone: undefined })).makerId).toBe(workshop.id);
  });

  it("on a device with a session of its own: that session's maker, also for what a request does later", async () => {
    const state = appStateOn(database());
    const other = { id: crypto.randomUUID(), name: "Box office" };
    await ensureMaker(database(), other);
    await beginSession(database(), other.id, "box office tablet");
    const place = await workplaceOf({ state, place: "box office tablet", zone: undefined });
    expect(await atWorkplace(place, async () => Promise.resolve().then(currentMakerId))).toBe(other.id);
    expect(currentMakerId()).toBe(workshop.id);
  });

  it("a session is looked up once", async () => {
    const state = appStateOn(database());
    await workplaceOf({ state, place: "this-machine", zone: undefined });
    await expect(workplaceOf({ state: { ...state, db: null as never }, place: "this-machine", zone: undefined })).resolves.toMatchObject({
      makerId: workshop.id,
    });
  });

  it("a moment stands in the reader's time zone; what is no zone is passed over", async () => {
    const state = appStateOn(database());
    const zoned = async (zone: string) =>
      atWorkplace(await workplaceOf({ state, place: "this-machine", zone }), () => writtenMoment("2026-11-29T23:30:00Z"));
    expect(await zoned("Europe/Helsinki")).toBe("30 Nov 2026, 01:30");
    expect(await zoned("America/Lima")).toBe("29 Nov 2026, 18:30");
    expect((await workplaceOf({ state, place: "this-machine", zone: "Lake/Stage; DROP" })).zone).toBe(zoneOfMachine());
    expect(atWorkplace(await workplaceOf({ state, place: "this-machine", zone: "America/Lima" }), () => writtenDay("2027-03-31"))).toBe(
      "31 Mar 2027",
    );
  });
});
