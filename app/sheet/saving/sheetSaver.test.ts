import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { SheetAnswer } from "../sheetAnswer";
import { withPercent } from "../typed/editing";
import { mergeTyped } from "../typed/mergeTyped";
import { noTypedAim, nothingTypedMeasured, type TypedSheet } from "../typed/typedSheet";
import type { KeptTyping } from "./keptTyping";
import { answerOf } from "./sendSave";
import type { Sent } from "./saverState";
import { SheetSaver } from "./sheetSaver";

const base: TypedSheet = {
  name: "Curtain Call",
  profile: "body-wash",
  batch: "500",
  aim: noTypedAim,
  measured: nothingTypedMeasured,
  phases: [{ letter: "A", title: "", temperature: "" }],
  lines: ["a", "b"].map((id) => ({ id, phase: "A", materialId: id, percent: "1", assay: "" })),
  restLineId: null,
};

type Fault = "none" | "refuse" | "throw" | "lose-answer" | "away" | "busy" | "hang";

/** A server with one draft, a page on it and a clock, all played. */
function played(given: readonly Fault[] = []) {
  const faults = [...given];
  let time = 0;
  let ids = 0;
  const timers: { at: number; call: () => void }[] = [];
  const server = { sheet: base, revision: 0, saves: [] as string[], asked: 0 };
  let kept: KeptTyping | null = null;
  let shown = base;
  const store = ({ typed, revision, saveId, unanswered }: Sent): SheetAnswer => {
    if (revision !== server.revision && !unanswered.includes(server.saves.at(-1) ?? "none")) {
      return { kind: "stale", message: "", revision: server.revision, theirs: server.sheet, saves: [...server.saves], typed };
    }
    server.sheet = typed;
    server.revision += 1;
    server.saves.push(saveId);
    return { kind: "saved", revision: server.revision, savedAt: "2026-11-29T12:00:00Z" };
  };
  const send = (sent: Sent): Promise<SheetAnswer> => {
    server.asked += 1;
    const fault = faults.shift() ?? "none";
    if (fault === "throw") throw new Error("no network at all");
    if (fault === "refuse" || fault === "hang") return Promise.reject(new Error(fault));
    if (fault === "away") return Promise.resolve({ kind: "away", why: "database" });
    if (fault === "busy") return Promise.resolve({ kind: "away", why: "busy" });
    const answer = store(sent);
    return fault === "lose-answer" ? Promise.reject(new Error("cut")) : Promise.resolve(answer);
  };
  const saver: SheetSaver = new SheetSaver(
    { typed: base, revision: 0 },
    {
      send,
      later: (milliseconds, call) => {
        const timer = { at: time + milliseconds, call };
        timers.push(timer);
        return () => void timers.splice(timers.indexOf(timer), timers.includes(timer) ? 1 : 0);
      },
      newId: () => `save-${(ids += 1)}`,
      keep: (what) => (kept = what),
      show: (sheet) => type(sheet),
      rebase: ({ base: from, theirs }) => type(mergeTyped(from, shown, theirs).sheet),
    },
  );
  function type(sheet: TypedSheet, isBroken = false): void {
    shown = sheet;
    saver.type(sheet, isBroken);
  }
  const pass = async (milliseconds: number): Promise<void> => {
    const until = time + milliseconds;
    for (;;) {
      await new Promise((resolve) => setImmediate(resolve));
      const next = timers.filter(({ at }) => at <= until).toSorted((a, b) => a.at - b.at)[0];
      if (next === undefined) break;
      timers.splice(timers.indexOf(next), 1);
      time = Math.max(time, next.at);
      next.call();
    }
    time = until;
  };
  /** Another window saves something. */
  const other = (change: (sheet: TypedSheet) => TypedSheet) => {
    server.sheet = change(server.sheet);
    server.revision += 1;
    server.saves.push(`other-${server.revision}`);
  };
  return { saver, server, type, pass, other, kept: () => kept, shown: () => shown };
}

const percent = (sheet: TypedSheet, id: string) => sheet.lines.find((line) => line.id === id)?.percent;

describe("a sheet that saves itself", () => {
  it("is stored half a second after the last key, once", async () => {
    const { saver, server, type, pass } = played();
    type(withPercent(base, "a", "2"));
    await pass(400);
    type(withPercent(base, "a", "2.5"));
    await pass(499);
    expect([server.asked, saver.now().status.kind]).toEqual([0, "typing"]);
    await pass(1);
    expect([server.asked, percent(server.sheet, "a"), saver.now()]).toMatchObject([1, "2.5", { isStored: true, revision: 1 }]);
    await pass(60_000);
    expect(server.asked).toBe(1);
  });

  it.each(["refuse", "throw", "away", "busy", "hang"] as const)(
    "is tried again every two seconds while saving ends with %s, and untouched it is stored when that is over",
    async (fault) => {
      const { saver, server, type, pass, kept } = played(Array.from({ length: 20 }, () => fault));
      type(withPercent(base, "a", "7"));
      await pass(500 + 19 * 2_000);
      expect([server.asked, saver.now().status.kind, kept()?.typed.lines[0]?.percent]).toEqual([20, "away", "7"]);
      await pass(2_000);
      expect([server.asked, percent(server.sheet, "a"), saver.now().status.kind, kept()]).toEqual([21, "7", "saved", null]);
    },
  );

  it("what is typed and taken back again is as saved as before, and says when that was", async () => {
    const { saver, server, type, pass } = played();
    type(withPercent(base, "a", "2"));
    await pass(500);
    type(withPercent(base, "a", "3"));
    type(withPercent(base, "a", "2"));
    expect(saver.now()).toMatchObject({ status: { kind: "saved", at: "2026-11-29T12:00:00Z" }, isStored: true });
    await pass(10_000);
    expect(server.asked).toBe(1);
  });

  it("is tried at once when the network is back", async () => {
    const { saver, server, type, pass } = played(["refuse"]);
    type(withPercent(base, "a", "7"));
    await pass(500);
    saver.tryNow();
    await pass(0);
    expect([server.asked, percent(server.sheet, "a")]).toEqual([2, "7"]);
  });

  it("a save whose answer was lost is known again, also when something was typed meanwhile: nobody is asked", async () => {
    const { saver, server, type, pass } = played(["lose-answer", "lose-answer"]);
    type(withPercent(base, "a", "7"));
    await pass(500);
    type(withPercent(base, "a", "8"));
    await pass(10_000);
    expect([percent(server.sheet, "a"), saver.now().status.kind, server.revision]).toEqual(["8", "saved", 3]);
  });

  it("a save whose answer was lost and that another window saved upon is no change of that window", async () => {
    const { saver, server, type, pass, other } = played(["lose-answer"]);
    type(withPercent(base, "a", "7"));
    await pass(500);
    type(withPercent(base, "a", "8"));
    other((sheet) => withPercent(sheet, "b", "3"));
    await pass(10_000);
    expect([percent(server.sheet, "a"), percent(server.sheet, "b"), saver.now().status.kind]).toEqual(["8", "3", "saved"]);
  });

  it("a cell that cannot be read for a while does not end the tries while the server is away", async () => {
    const { saver, server, type, pass } = played(["refuse"]);
    type(withPercent(base, "a", "7"));
    await pass(600);
    type(withPercent(base, "a", "7,,"), true);
    await pass(60_000);
    expect([server.asked, saver.now().status.kind]).toEqual([1, "away"]);
    type(withPercent(base, "a", "7.5"));
    await pass(2_000);
    expect([percent(server.sheet, "a"), saver.now().status.kind]).toEqual(["7.5", "saved"]);
  });

  it("what the server found wrong is not sent a second time", async () => {
    const { saver, server, type, pass } = played();
    type(withPercent(base, "a", "7"), true);
    await pass(60_000);
    expect([server.asked, saver.now().status.kind]).toEqual([0, "to-fix"]);
    type(withPercent(base, "a", "7.5"));
    await pass(500);
    expect(server.asked).toBe(1);
  });
});

describe("two windows on one draft", () => {
  it("changes of different cells merge by themselves", async () => {
    const { saver, server, type, pass, other } = played();
    other((sheet) => withPercent(sheet, "b", "9"));
    type(withPercent(base, "a", "2"));
    await pass(2_000);
    expect([percent(server.sheet, "a"), percent(server.sheet, "b"), saver.now().status.kind]).toEqual(["2", "9", "saved"]);
  });

  it("the same cell is asked about, nothing else, and is stored as chosen", async () => {
    for (const which of ["mine", "theirs"] as const) {
      const { saver, server, type, pass, other, shown } = played();
      other((sheet) => ({ ...withPercent(sheet, "a", "5"), name: "Prop Room" }));
      type(withPercent(base, "a", "2"));
      await pass(60_000);
      expect(saver.now().status).toMatchObject({ kind: "conflict", cells: ["line:a:percent"] });
      expect([percent(shown(), "a"), shown().name, server.asked]).toEqual(["2", "Prop Room", 1]);
      saver.choose("line:a:percent", which);
      await pass(2_000);
      expect([percent(server.sheet, "a"), saver.now().status.kind]).toEqual([which === "mine" ? "2" : "5", "saved"]);
    }
  });

  it("the same value in other words is no question and no further save", async () => {
    const { saver, server, type, pass, other } = played();
    other((sheet) => withPercent(sheet, "a", "4.25"));
    type(withPercent(base, "a", "4.250"));
    await pass(60_000);
    expect([saver.now().status.kind, server.revision]).toEqual(["saved", 1]);
  });

  it("as the page goes its text is sent and kept with the number of that save", () => {
    const { saver, type, kept } = played();
    const last: Sent[] = [];
    saver.leave((sent) => last.push(sent));
    type(withPercent(base, "a", "2"));
    saver.leave((sent) => last.push(sent));
    expect(last.map(({ saveId }) => saveId)).toEqual([kept()?.unanswered?.at(-1)]);
    expect(kept()).toMatchObject({ revision: 0, base, typed: withPercent(base, "a", "2") });
  });

  it("text an earlier visit kept is merged with what was saved since", async () => {
    const { saver, server, pass, shown } = played();
    const kept = { revision: -1, base, typed: withPercent(base, "a", "2"), unanswered: ["lost"] };
    saver.restore(kept);
    await pass(2_000);
    expect([percent(shown(), "a"), percent(server.sheet, "a")]).toEqual(["2", "2"]);
  });

  it("texts of two pages that are gone are both there again; where they differ the maker is asked", async () => {
    const { saver, server, pass, shown } = played();
    saver.restore({ revision: 0, base, typed: { ...withPercent(base, "a", "2"), name: "Newest" } });
    saver.restore({ revision: 0, base, typed: { ...withPercent(base, "b", "3"), name: "Older" } });
    await pass(2_000);
    expect(saver.now().status).toMatchObject({ kind: "conflict", cells: ["name"] });
    expect([percent(shown(), "a"), percent(shown(), "b"), shown().name]).toEqual(["2", "3", "Newest"]);
    saver.choose("name", "theirs");
    await pass(2_000);
    expect([percent(server.sheet, "a"), percent(server.sheet, "b"), server.sheet.name]).toEqual(["2", "3", "Older"]);
  });

  it("whatever fails in whatever order, and whatever another window does to another cell, both end up stored", async () => {
    const fault = fc.constantFrom<Fault>("none", "refuse", "throw", "lose-answer", "away", "busy", "hang");
    const step = fc.tuple(fc.constantFrom("type", "other", "wait", "slip"), fc.integer({ min: 2, max: 90 }));
    await fc.assert(
      fc.asyncProperty(fc.array(fault, { maxLength: 12 }), fc.array(step, { maxLength: 10 }), async (faults, steps) => {
        const { saver, server, type, pass, other, shown } = played(faults);
        for (const [what, number] of steps) {
          if (what === "type") type(withPercent(shown(), "a", String(number)));
          else if (what === "slip") {
            // Half typed it cannot be read; it is corrected before the steps end.
            type(withPercent(shown(), "a", `${number},,`), true);
            await pass(number * 40);
            type(withPercent(shown(), "a", String(number)));
          } else if (what === "other") other((sheet) => withPercent(sheet, "b", String(number)));
          else await pass(number * 40);
        }
        await pass(120_000);
        expect(saver.now()).toMatchObject({ status: { kind: "saved" }, isStored: true, isBusy: false });
        const lastTyped = steps.findLast(([what]) => what === "type" || what === "slip");
        const lastOther = steps.findLast(([what]) => what === "other");
        if (lastTyped !== undefined) expect(percent(server.sheet, "a")).toBe(String(lastTyped[1]));
        if (lastOther !== undefined) expect(percent(server.sheet, "b")).toBe(String(lastOther[1]));
      }),
      { numRuns: 300 },
    );
  });
});

describe("what an answer of the server means", () => {
  it.each([
    [200, { kind: "saved", revision: 1, savedAt: "" }, "saved"],
    [503, null, "away"],
    [503, { message: "busy", remedy: "" }, "away"],
    [507, null, "away"],
    [500, null, "away"],
    [502, "<html>", "away"],
    [409, { message: "gone", remedy: "Load" }, "refused"],
    [413, null, "refused"],
    [401, null, "refused"],
  ])("%i %j is %s", (status, told, kind) => {
    expect(answerOf(status, told).kind).toBe(kind);
  });
});
