import sharp from "sharp";
import { beforeAll, describe, expect, it } from "vitest";
import { demoFormulas } from "../../../db/demo/formulas";
import { onFreshDatabase } from "../../../db/testing/onFreshDatabase";
import { noSize } from "../begin/batchSize";
import { begin } from "../begin/begin.server";
import { takeEntries } from "../queue/takeEntries.server";
import { writtenMoment } from "../../frame/dates.server";
import { drawnAnew } from "../../frame/photo.server";
import { keepPhoto } from "./photos.server";
import { openRecord, photoOf } from "./record.server";
import { definitionOf, recordPdf } from "./recordPdf.server";
import { waitsCalendar } from "./waits.server";

onFreshDatabase({ demo: "once" });

const GREEN_ROOM = demoFormulas.find(({ name }) => name === "Green Room body wash")?.id ?? "";
const batchId = crypto.randomUUID();

beforeAll(async () => {
  const seen = ["clean", "wear", "meter"];
  const form = { id: batchId, grams: "200", size: noSize, seen, lots: {}, tares: { main: "300" }, another: [] };
  expect(await begin({ formulaId: GREEN_ROOM, number: 1 }, form)).toEqual([]);
});

/** A picture as a camera makes it, with where it was taken and which way it was held. */
const fromCamera = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: "#7fa" } })
    .jpeg()
    .withExif({ IFD0: { Copyright: "somebody" }, IFD3: { GPSLatitudeRef: "N", GPSLatitude: "60/1 10/1 0/1" } })
    .withMetadata({ orientation: 6 })
    .toBuffer();

function sentPhoto(bytes: Uint8Array<ArrayBuffer>) {
  return { intent: "photo", step: "prepare", photo: new File([bytes], "foam.jpg", { type: "image/jpeg" }) } as const;
}

describe("a photo", () => {
  it("is drawn anew upright, no larger than it is looked at, with nothing of what the camera wrote", async () => {
    const sent = await fromCamera(3_000, 1_500);
    expect((await sharp(sent).metadata()).exif).toBeDefined();
    const { picture, width, height } = await drawnAnew(sentPhoto(sent).photo);
    expect([width, height]).toEqual([1_000, 2_000]);
    const kept = await sharp(picture).metadata();
    expect(kept.format).toBe("jpeg");
    for (const what of [kept.exif, kept.icc, kept.iptc, kept.xmp, kept.orientation]) expect(what).toBeUndefined();
    expect(picture.includes("somebody")).toBe(false);
  });

  it("a PNG is taken too, its clear parts white", async () => {
    const png = await sharp({ create: { width: 4, height: 4, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } })
      .png()
      .toBuffer();
    const { picture } = await drawnAnew(sentPhoto(new Uint8Array(png)).photo);
    const { data } = await sharp(picture).raw().toBuffer({ resolveWithObject: true });
    expect(Math.min(...data)).toBeGreaterThan(250);
  });

  it.each([
    ["text", () => Promise.resolve(Buffer.from("no picture at all"))],
    ["half a picture", async () => (await fromCamera(200, 200)).subarray(0, 300)],
    [
      "another kind",
      () =>
        sharp({ create: { width: 4, height: 4, channels: 3, background: "#fff" } })
          .webp()
          .toBuffer(),
    ],
    ["a drawing that is text", () => Promise.resolve(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"/>'))],
  ])("%s is none", async (_, bytes) => {
    await expect(keepPhoto(batchId, sentPhoto(new Uint8Array(await bytes())))).rejects.toThrow("not a photo that can be read");
  });

  it("above 5 MB is told so, and none at all", async () => {
    await expect(keepPhoto(batchId, sentPhoto(new Uint8Array(5 * 1024 * 1024 + 1)))).rejects.toThrow("larger than 5 MB");
    await expect(keepPhoto(batchId, sentPhoto(new Uint8Array(0)))).rejects.toThrow("not a photo");
    expect((await openRecord(batchId)).photos).toEqual([]);
  });

  it("is in the record and in its PDF, can be looked at, and leaves with its entry taken back", async () => {
    await keepPhoto(batchId, sentPhoto(new Uint8Array(await fromCamera(400, 300))));
    const record = await openRecord(batchId);
    const [photo] = record.photos;
    if (photo === undefined) throw new Error("no photo");
    expect(photo.step).toBe("Prepare the bench");
    const shown = await photoOf(batchId, photo.id);
    expect((await sharp(new Uint8Array(await shown.arrayBuffer())).metadata()).width).toBe(300);
    await expect(photoOf(batchId, crypto.randomUUID())).rejects.toThrow("not in the record");
    const pdf = new Uint8Array(await (await recordPdf(batchId)).arrayBuffer());
    expect(new TextDecoder("latin1").decode(pdf)).toContain("/Subtype /Image");
    const back = { id: crypto.randomUUID(), at: new Date().toISOString(), kind: "taken-back", entry: photo.entry } as const;
    await takeEntries(batchId, [back], 0);
    const after = await openRecord(batchId);
    expect(after.photos).toEqual([]);
    expect(after.log.at(-1)?.what).toBe("Taken back: Photo");
  });
});

describe("the record as a file", () => {
  it("the PDF says what the page says: every line, every sum, every step, all that happened", async () => {
    const record = await openRecord(batchId);
    const text = JSON.stringify(definitionOf(record, []).content);
    expect(text).toContain(`Record of ${record.code}`);
    for (const line of record.lines) expect(text).toContain(line.name);
    for (const { title } of record.steps) expect(text).toContain(title.replaceAll('"', '\\"'));
    for (const { what } of record.log) expect(text).toContain(what);
    expect(text).toContain("active matter");
    expect(text).toContain("main beaker 300.0 g");
  });

  it("the calendar has a reminder for each wait that runs, and for none that was ended", async () => {
    const at = new Date().toISOString();
    const timers = ["bath", "stir"].map((text) => ({ id: crypto.randomUUID(), at, kind: "timer", text, minutes: 30 }) as const);
    const [, stir] = timers;
    await takeEntries(batchId, [...timers, { id: crypto.randomUUID(), at, kind: "wait-ended", wait: stir?.id ?? "" }], 0);
    const text = await (await waitsCalendar(batchId)).text();
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(1);
    expect(text).toContain("bath is over");
    // When it began is told as the reader's clock has it, not as it is stored.
    expect(text.replaceAll("\r\n ", "")).toContain(`Resting since ${writtenMoment(at).replaceAll(",", "\\,")}.`);
    expect(text).toContain("BEGIN:VALARM");
  });

  it("a moment from a clock that runs ahead is taken as now", async () => {
    const later = new Date(Date.now() + 600_000).toISOString();
    const { stored } = await takeEntries(batchId, [{ id: crypto.randomUUID(), at: later, kind: "noted", step: null, text: "ahead" }], 0);
    const entry = stored.at(-1)?.entry;
    expect(entry !== undefined && entry.at < later).toBe(true);
  });

  it("an entry that is sent again is answered once more, also to a device that knows of later ones", async () => {
    const note = { id: crypto.randomUUID(), at: new Date().toISOString(), kind: "noted", step: null, text: "again" } as const;
    const [first] = (await takeEntries(batchId, [note], 0)).stored.slice(-1);
    const answered = await takeEntries(batchId, [note], (first?.position ?? 0) + 1_000);
    expect(answered).toMatchObject({ stored: [{ position: first?.position, entry: note }], refused: [] });
  });
});
