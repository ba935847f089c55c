/** What a route is asked with: no answer of it may be a fault, and none may take long. */
export interface HostileRequest {
  readonly name: string;
  readonly method: "GET" | "POST";
  readonly path: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string | Buffer;
  /** The one answer that is right; otherwise anything below 500 is. */
  readonly status?: number;
}

const CURTAIN = "5ea50000-0000-4000-8000-00000000c100";
const GREEN = "5ea50000-0000-4000-8000-00000000a200";
const SCENT = "ca7de3b0-5ff1-8486-aa8f-0b107e4ca350";
const LOT = "d7139f65-c32e-89dc-a525-f1729571d42b";
const NOBODY = "11111111-1111-4111-8111-111111111111";

/** Texts that break what is careless with them, each by what it is. */
const texts: readonly (readonly [string, string])[] = [
  ["NUL", "Curtain\u0000Call"],
  ["a turned direction", "Curtain\u202eCall"],
  ["zero-width alone", "\u200b\u200d\u2060"],
  ["a name of the object itself", "__proto__"],
  ["SQL", "'); drop table lots; --"],
  ["a number beyond all", "1e400"],
  ["less than nothing", "-0.0000001"],
  ["hardly anything", "0.0000001"],
  ["a date that is none", "2026-02-31"],
  ["spaces", " ".repeat(3_000)],
];

/** Those of them that every field of every form is given. */
const formTexts = new Set([
  "NUL",
  "a turned direction",
  "zero-width alone",
  "a name of the object itself",
  "a number beyond all",
  "hardly anything",
]);

/** Ways to write an identifier that are none here. */
const ids = [
  "constructor",
  "__proto__",
  "0",
  "{11111111-1111-4111-8111-111111111111}",
  "11111111111141118111111111111111",
  "11111111-1111-4111-8111-11111111111G",
  "%00",
  "..%2f..%2fetc%2fpasswd",
  "%E0%A4%A",
  "a".repeat(2_000),
];

/** Addresses by what stands in for `:id`, `:n` and `:slug`. */
const reading = [
  "/sheet/:id",
  "/sheet/:id/1",
  "/sheet/:id/1/card",
  "/sheet/:id/difference",
  "/sheet/:id/1/files/formula.json",
  "/weighing/:id/1",
  "/bench/begin/:id/1",
  "/bench/practice/:id/1",
  "/bench/salt-samples/:id/1",
  "/bench/:id",
  "/bench/:id/salt-samples",
  "/bench/:id/lots",
  "/bench/:id/news",
  "/bench/:id/record",
  "/bench/:id/record.json",
  "/bench/:id/record.pdf",
  "/bench/:id/waits.ics",
  "/bench/:id/photos/:id",
  "/fill/:id",
  "/fill/:id/label",
  "/fill/:id/cost",
  "/fill/:id/containers",
  "/watch/:id",
  "/watch/:id/lather",
  "/watch/:id/patch",
  "/watch/:id/photos/:id",
  "/watch/blind/:id",
  "/compare/products/:id",
  "/compare/products/:id/list",
  "/compare/products/:id/photo",
  "/compare/rounds/:id",
  "/designer/:id",
  "/designer/:id/1",
  "/designer/:id/1/question.json",
  "/compare/side?of=v::id:1",
  "/compare/side.csv?of=p::id",
  "/watch/:id/checks.csv",
  "/sheet/:id/costs",
  "/settings/backups/:id",
  "/fill/:id/label.pdf",
  "/fill/:id/label.json",
  "/fill/:id/label.svg",
  "/shelf/:id",
  "/shelf/:id/own",
  "/shelf/:id/prices",
  "/shelf/lots/:id/label",
  "/shelf/lots/:id/trace",
  "/shelf/lots/:id/trace.csv",
  "/scents/:id",
];

const numbers = ["0", "-1", "1.5", "1e9", "2147483648", "1099511627776", "NaN", "Infinity", "０", "1%00"];
const numbered = [
  "/sheet/:f/:n",
  "/sheet/:f/:n/card",
  "/sheet/:f/:n/files/formula.json",
  "/weighing/:f/:n",
  "/bench/begin/:f/:n",
  "/designer/:f/:n",
  "/designer/:f/:n/question.json",
];

const searches = [
  "/?behind=:t",
  "/bench?behind=:t",
  "/watch?behind=:t",
  "/fill?behind=:t",
  "/compare?formulas=:t&batches=:t",
  "/shelf/outlook?called=:t",
  "/shelf/glycerin?behind=:t",
  "/days?span=:t&of=:t",
  "/search?q=:t",
  "/search.json?q=:t",
  "/days/feed/:t.ics",
  "/shelf?find=:t",
  "/shelf?board=:t&charge=:t&flag=:t",
  "/shelf/receive?material=:t&grams=:t&supplier=:t&price=:t",
  "/settings/backups?made=:t&restored=:t",
  "/shelf/materials/new?from=:t",
  "/shelf/materials/compare?one=:t&other=:t",
  "/shelf/make/solution?of=:t&strength=:t&grams=:t",
  "/shelf/make/water?name=:t&plant=:t&water=:t",
  "/progress?job=:t",
  `/sheet/${CURTAIN}?find=:t`,
  `/designer/${CURTAIN}?against=:t&leastFlash=:t&must=:t`,
  `/sheet/${CURTAIN}/difference?from=:t&to=:t`,
  `/scents/${SCENT}?profile=:t&percent=:t`,
  `/bench/begin/${GREEN}/1?grams=:t&plan=:t`,
  "/fill/containers?change=:t",
];

const uuid = () => crypto.randomUUID();

type Fields = Readonly<Record<string, string>>;

const material: Fields = {
  name: "Stage door glycerin",
  slug: "",
  role: "humectant",
  form: "liquid",
  charge: "nonionic",
  inci: "Glycerin 100",
  parts: "",
  flags: "",
  handling: "",
  caution: "",
  "active.typical": "",
  from: "",
  intent: "save",
};
const bench: Fields = { id: NOBODY, intent: "note", step: "", text: "", grams: "", ph: "", minutes: "", agent: "", because: "" };

/** Forms with fields a page could send; each field in turn is given each hostile text. */
const forms: readonly { readonly path: string; readonly fields: Fields; readonly attacked: readonly string[] }[] = [
  { path: "/settings", fields: { intent: "units", currency: "€", massUnit: "g" }, attacked: ["currency", "massUnit", "intent"] },
  { path: "/settings", fields: { intent: "codes", batchCode: "{letters}-{n}" }, attacked: ["batchCode"] },
  {
    path: "/settings",
    fields: { intent: "drops", material: "lavender-oil", drops: "20", grams: "0.6" },
    attacked: ["material", "drops", "grams"],
  },
  {
    path: "/settings",
    fields: { intent: "scales", id: NOBODY, name: "bench", readability: "0.1", capacity: "3000" },
    attacked: ["id", "name", "readability", "capacity"],
  },
  { path: "/days", fields: { intent: "new" }, attacked: ["intent"] },
  { path: "/settings/devices", fields: { device: "all" }, attacked: ["device"] },
  {
    path: "/fill/containers",
    fields: {
      intent: "save",
      id: NOBODY,
      name: "Pier bottle",
      type: "bottle",
      nominal: "100",
      brimful: "",
      tare: "",
      pieces: "",
      note: "",
    },
    attacked: ["intent", "id", "name", "type", "nominal", "brimful", "tare", "pieces", "note"],
  },
  {
    path: "/shelf/receive",
    fields: {
      material: "glycerin",
      code: "H-1",
      grams: "500",
      assay: "",
      price: "",
      supplier: "",
      openedOn: "",
      endsOn: "",
      afterOpening: "",
      note: "",
    },
    attacked: ["material", "code", "grams", "assay", "price", "supplier", "openedOn", "endsOn", "afterOpening", "note"],
  },
  { path: "/shelf/glycerin", fields: { lotId: LOT, kind: "use", grams: "1", note: "" }, attacked: ["lotId", "kind", "grams", "note"] },
  {
    path: "/shelf/outlook",
    fields: { intent: "plan", version: "", on: "2090-01-01", grams: "600", note: "" },
    attacked: ["intent", "id", "version", "on", "grams", "note"],
  },
  {
    path: "/shelf/glycerin/prices",
    fields: { intent: "keep", supplier: "herb stall", pack: "100", price: "1", least: "" },
    attacked: ["intent", "id", "supplier", "pack", "price", "least"],
  },
  {
    path: "/watch/blind",
    fields: { kind: "triangle", first: "", second: "", testers: "12", question: "" },
    attacked: ["id", "kind", "first", "second", "testers", "question"],
  },
  { path: "/settings/backups", fields: { intent: "compare", name: "", expected: "", job: "" }, attacked: ["intent", "name", "expected"] },
  { path: "/shelf/glycerin/own", fields: material, attacked: ["name", "inci", "handling", "active.typical", "intent"] },
  { path: "/shelf/materials/new", fields: material, attacked: ["name", "slug", "role", "inci", "parts", "flags", "caution", "from"] },
  {
    path: "/shelf/make/solution",
    fields: { of: "citric-acid-anhydrous", strength: "10", grams: "100", months: "3", lot: "" },
    attacked: ["of", "strength", "grams", "months", "lot"],
  },
  {
    path: "/shelf/make/water",
    fields: { name: "Birch", inci: "Betula Alba Leaf Extract", plant: "40", water: "600", yield: "470", days: "7", tested: "" },
    attacked: ["name", "inci", "plant", "water", "yield", "days"],
  },
  { path: "/scents", fields: { name: "Gaslight" }, attacked: ["name"] },
  {
    path: `/scents/${SCENT}`,
    fields: { intent: "round", countedIn: "drops", oil: "lavender-oil", count: "3", note: "", name: "" },
    attacked: ["intent", "countedIn", "oil", "count", "note"],
  },
  { path: `/scents/${SCENT}`, fields: { intent: "keep", name: "Kept" }, attacked: ["name"] },
  { path: "/import", fields: { text: "{}" }, attacked: ["text"] },
  {
    path: "/shelf/import",
    fields: { intent: "read", text: "material,code,grams\nglycerin,I-1,500", kind: "" },
    attacked: ["intent", "text", "kind"],
  },
  { path: "/recipe", fields: { text: "Water 80 g" }, attacked: ["text"] },
  {
    path: `/sheet/${CURTAIN}/acknowledgements`,
    fields: { intent: "keep", code: "ACTIVE_LOW", says: "x", reason: "" },
    attacked: ["intent", "code", "says", "reason"],
  },
  {
    path: `/sheet/${CURTAIN}/save`,
    fields: {
      intent: "save",
      versionId: NOBODY,
      revision: "0",
      name: "x",
      profile: "body-wash",
      batch: "500",
      "phases.A.title": "",
      "phases.A.temperature": "",
    },
    attacked: ["intent", "versionId", "revision", "name", "profile", "batch", "phases.A.title", "phases.A.temperature"],
  },
  { path: `/bench/begin/${GREEN}/1`, fields: { grams: "300", intent: "look" }, attacked: ["grams", "id", "tare-main", "lot-x", "size-by"] },
  {
    path: `/bench/salt-samples/${GREEN}/1`,
    fields: { intent: "add", baseGrams: "50", saltGrams: "1", by: "Pa·s", viscosity: "2" },
    attacked: ["intent", "baseGrams", "saltGrams", "by", "viscosity", "word", "said"],
  },
];

/** Forms of a batch that is being made. */
const benchForms = (batch: string) => [
  { path: batch, fields: bench, attacked: ["id", "intent", "step", "text", "because"] },
  { path: batch, fields: { ...bench, intent: "weigh" }, attacked: ["grams", "line", "step", "readOff"] },
  { path: batch, fields: { ...bench, intent: "read-ph" }, attacked: ["ph", "way", "sample"] },
  { path: batch, fields: { ...bench, intent: "timer", text: "stir" }, attacked: ["minutes", "text"] },
  {
    path: `${batch}/lots`,
    fields: { intent: "balance", lotId: LOT, line: "x", grams: "5" },
    attacked: ["intent", "lotId", "line", "grams", "to"],
  },
];

const FORM = { "Content-Type": "application/x-www-form-urlencoded" };
const JSON_TYPE = { "Content-Type": "application/json" };

function encoded(fields: Fields): string {
  // Every form carries identifiers of its own.
  const whole = { id: uuid(), movementId: uuid(), ...fields };
  return Object.entries(whole)
    .map(([name, value]) => `${encodeURIComponent(name)}=${encodeURIComponent(value)}`)
    .join("&");
}

function formsAttacked(
  all: readonly { readonly path: string; readonly fields: Fields; readonly attacked: readonly string[] }[],
): HostileRequest[] {
  return all.flatMap(({ path, fields, attacked }) =>
    attacked.flatMap((field) =>
      texts
        .filter(([what]) => formTexts.has(what))
        .map(([what, text]): HostileRequest => ({
          name: `${path} ${field}: ${what}`,
          method: "POST",
          path,
          headers: FORM,
          body: encoded({ ...fields, [field]: text }),
        })),
    ),
  );
}

const entry = { id: uuid(), at: "2026-11-29T10:00:00Z", kind: "noted", step: null, text: "x" };
const entries = (changes: object, behind: unknown = 0) => JSON.stringify({ behind, entries: [{ ...entry, id: uuid(), ...changes }] });

/** Bodies no reader may choke on. */
const bodies: readonly (readonly [string, string | Buffer])[] = [
  ["nothing", ""],
  ["no JSON", "x"],
  ["null", "null"],
  ["a list", "[]"],
  ["100,000 brackets", "[".repeat(100_000)],
  ["200,000 braces", '{"a":'.repeat(40_000)],
  ["broken UTF-8", Buffer.from([0x7b, 0x22, 0xff, 0xfe, 0x22, 0x7d])],
  ["half a surrogate pair", entries({ text: "\ud800" })],
  ["an escaped NUL", '{"behind":0,"entries":[{"id":"x","at":"2026-11-29T10:00:00Z","kind":"noted","text":"\\u0000"}]}'],
  ["a turned direction", entries({ text: "\u202egnp.exe" })],
  ["a hidden key", '{"behind":0,"entries":[],"__proto__":{"isAdmin":true}}'],
  ["a moment that is none", entries({ at: "2026-02-31T10:00:00Z" })],
  ["year 0000", entries({ at: "0000-01-01T00:00:00Z" })],
  ["before the batch", entries({ at: "1999-12-31T23:59:59Z" })],
  ["the far future", entries({ at: "2999-12-31T23:59:59Z" })],
  ["a kind that is none", entries({ kind: "constructor" })],
  ["an identifier that is none", entries({ id: "{11111111-1111-4111-8111-111111111111}" })],
  ["a position beyond all", entries({}, 1e300)],
  ["a position below 0", entries({}, -1)],
  ["a position of text", entries({}, "0")],
  ["a weight beyond all", entries({ kind: "weighed", step: "x", line: "x", grams: 1e308 })],
  ["600 entries", JSON.stringify({ behind: 0, entries: Array.from({ length: 600 }, () => ({ ...entry, id: uuid() })) })],
];

/** Every request there is; the bench needs the address of a batch. */
export function hostileRequests(batch: string): readonly HostileRequest[] {
  const get = (path: string, status?: number): HostileRequest => ({
    name: `GET ${path.slice(0, 100)}`,
    method: "GET",
    path,
    ...(status === undefined ? {} : { status }),
  });
  return [
    ...reading.flatMap((path) => ids.map((id) => get(path.replaceAll(":id", id)))),
    ...reading.map((path) => get(path.replaceAll(":id", NOBODY), path.endsWith("/news") ? undefined : 404)),
    ...["__proto__", "constructor", "toString", "hasOwnProperty", "formula.json%00"].map((file) =>
      get(`/sheet/${CURTAIN}/1/files/${file}`, 404),
    ),
    ...numbered.flatMap((path) => numbers.map((number) => get(path.replace(":f", CURTAIN).replace(":n", number)))),
    ...searches.flatMap((path) => texts.map(([, text]) => get(path.replaceAll(":t", encodeURIComponent(text))))),
    ...searches.map((path) => get(path.replaceAll(":t", "%FF%FE%00"))),
    ...formsAttacked(forms),
    ...formsAttacked(benchForms(batch)),
    ...[`${batch}/entries`, `/bench/practice/${CURTAIN}/1/runs`].flatMap((path) =>
      bodies.map(([what, body]): HostileRequest => ({ name: `${path}: ${what}`, method: "POST", path, headers: JSON_TYPE, body })),
    ),
    ...["/settings", "/import", "/shelf/import", "/recipe", "/scents", `/sheet/${CURTAIN}`, `${batch}/photos`, batch].flatMap(
      (path): HostileRequest[] => [
        {
          name: `${path}: a form that breaks off`,
          method: "POST",
          path,
          headers: { "Content-Type": "multipart/form-data; boundary=x" },
          body: '--x\r\nContent-Disposition: form-data; name="a',
        },
        { name: `${path}: a form without its edge`, method: "POST", path, headers: { "Content-Type": "multipart/form-data" }, body: "a=b" },
        { name: `${path}: nothing at all`, method: "POST", path },
        { name: `${path}: a foreign type`, method: "POST", path, headers: { "Content-Type": "text/xml" }, body: "<a/>", status: 415 },
        {
          name: `${path}: 13 MB`,
          method: "POST",
          path,
          headers: path.endsWith("photos") ? { "Content-Type": "multipart/form-data; boundary=x" } : FORM,
          body: `a=${"a".repeat(13 * 1024 * 1024)}`,
          status: 413,
        },
      ],
    ),
    {
      name: "a revision of 2^40",
      method: "POST",
      path: `/sheet/${CURTAIN}/save`,
      headers: FORM,
      body: encoded({
        intent: "save",
        versionId: NOBODY,
        revision: "1099511627776",
        name: "x",
        profile: "body-wash",
        batch: "500",
        "phases.A.title": "",
      }),
      status: 422,
    },
    {
      name: "a lot that expires in the year 0000",
      method: "POST",
      path: "/shelf/receive",
      headers: FORM,
      body: encoded({ material: "glycerin", code: "H-2", grams: "5", endsOn: "0000-01-01" }),
      status: 422,
    },
    {
      name: "a lot whose code does not show",
      method: "POST",
      path: "/shelf/receive",
      headers: FORM,
      body: encoded({ material: "glycerin", code: "\u200b\u2060", grams: "5" }),
      status: 422,
    },
    { name: "a recipe of fractions", method: "POST", path: "/recipe", headers: FORM, body: encoded({ text: "1/".repeat(9_900) }) },
    { name: "a recipe of spaces", method: "POST", path: "/recipe", headers: FORM, body: `text=${"+".repeat(20_000)}` },
    {
      name: "a recipe of unknown names",
      method: "POST",
      path: "/recipe",
      headers: FORM,
      body: encoded({
        text: Array.from({ length: 300 }, (_, at) => `gly sodium coco ${at} lauryl beta glucos amide ${at} 5 g`).join("\n"),
      }),
    },
    {
      name: "a formula of 100,000 brackets",
      method: "POST",
      path: "/import",
      headers: FORM,
      body: encoded({ text: "[".repeat(100_000) }),
      status: 422,
    },
    {
      name: "a table of one cell without end",
      method: "POST",
      path: "/shelf/import",
      headers: FORM,
      body: encoded({ intent: "read", text: `"${"a,".repeat(200_000)}` }),
    },
    {
      name: "a table of 5,000 columns",
      method: "POST",
      path: "/shelf/import",
      headers: FORM,
      body: encoded({ intent: "read", text: "a,".repeat(5_000) }),
    },
  ];
}
