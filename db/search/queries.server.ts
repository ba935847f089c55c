import { sql, type SQL } from "drizzle-orm";
import type { Executor } from "../client.server";

/** What can be found. */
export const foundKinds = [
  "formula",
  "line",
  "note",
  "batch",
  "entry",
  "material",
  "lot",
  "container",
  "given",
  "check",
  "product",
  "scent",
  "learned",
  "label",
] as const;

export type FoundKind = (typeof foundKinds)[number];

export interface Found {
  readonly kind: FoundKind;
  /** What it is called. */
  readonly title: string;
  /** What it says, where that is more than its name. */
  readonly said: string;
  /** What its address is made of. */
  readonly id: string;
  readonly part: string;
  /** 0 to 1. */
  readonly score: number;
}

interface Source {
  readonly kind: FoundKind;
  /** Rows, with the maker's condition; how the text is looked for, where it is better done further in. */
  readonly from: (makerId: string, look: Look) => SQL;
  /** What is looked through. */
  readonly text: SQL;
  readonly title: SQL;
  readonly said: SQL;
  readonly id: SQL;
  readonly part: SQL;
  /** Whether words are found in any order; only in what is longer than a name. */
  readonly isProse: boolean;
}

/** Nearer than this by trigrams a word counts as meant: one letter off in six. */
const ALIKE = 0.45;
const MOST_OF_KIND = sql.raw("5");
/** A word that stands in thousands of rows is found in so many of them, of which the nearest are told. */
const [MOST_EXACT, MOST_ALIKE] = [sql.raw("25"), sql.raw("60")];
/** A material that is in thousands of formulas is looked for in those that were changed last, and in so many lines beside. */
const [LAST_CHANGED, MOST_LINES] = [sql.raw("60"), sql.raw("200")];

/** What is looked for: as it was typed, and the words of it that are long enough to be told apart. */
interface Wanted {
  readonly text: string;
  /** The same for a comparison by pattern. */
  readonly pattern: string;
  /** Whether an index can find it as it stands: it holds three letters or digits in a row. */
  readonly hasExact: boolean;
  readonly words: readonly string[];
}

const [LEAST_WORD, MOST_WORDS] = [3, 5];

function wantedOf(text: string): Wanted {
  const words = text.split(/[^\p{L}\p{N}]+/u).filter(({ length }) => length >= LEAST_WORD);
  const pattern = text.replace(/[\\%_]/g, "\\$&");
  return { text, pattern, hasExact: words.length > 0, words: words.length < 2 ? [] : words.slice(0, MOST_WORDS) };
}

/** Whether a text holds what is looked for: as one piece, or each of its words. A slip in each of two words is too much for one piece. */
function isAlike({ text, words }: Wanted, of: SQL): SQL {
  if (words.length === 0) return sql`${text} <% ${of}`;
  const each = sql.join(
    words.map((word) => sql`${word} <% ${of}`),
    sql` and `,
  );
  return sql`(${text} <% ${of} or (${each}))`;
}

/** How near a text comes to it, 0 to 1. */
function nearness({ text, words }: Wanted, of: SQL): SQL {
  if (words.length === 0) return sql`word_similarity(${text}, ${of})`;
  const sum = sql.join(
    words.map((word) => sql`word_similarity(${word}, ${of})`),
    sql` + `,
  );
  return sql`greatest(word_similarity(${text}, ${of}), (${sum}) / ${words.length}::real)`;
}

/** One way of looking for a text: as it stands, or nearly. */
interface Look {
  readonly wanted: Wanted;
  isFound(of: SQL): SQL;
}

const nothing = sql`''`;
const entryKinds = sql.raw("'noted', 'skipped', 'looked', 'container-tried', 'fill-lost'");

const sources: readonly Source[] = [
  {
    ...{ kind: "formula", text: sql`f.name`, title: sql`f.name`, said: nothing, id: sql`f.id`, part: nothing, isProse: false },
    from: (makerId) => sql`formulas f where f.maker_id = ${makerId}`,
  },
  {
    ...{ kind: "line", text: sql`m.name`, title: sql`f.name`, said: sql`m.name`, id: sql`f.id`, part: sql`v.number::text`, isProse: false },
    from: (makerId, { wanted, isFound }) => {
      const name = sql`m.name`;
      const [ofMaker, isLast] = [
        sql`v.maker_id = ${makerId}`,
        sql`v.number = (select n.number from versions n where n.formula_id = v.formula_id order by n.number desc limit 1)`,
      ];
      return sql`(select m.id, m.name from materials m where (m.maker_id is null or m.maker_id = ${makerId}) and ${isFound(name)}
          order by ${nearness(wanted, name)} desc limit ${MOST_OF_KIND}) m
        cross join lateral (
          (select v.number, v.formula_id from (select c.id from formulas c where c.maker_id = ${makerId}
              order by c.updated_at desc, c.id desc limit ${LAST_CHANGED}) c
            join versions v on v.formula_id = c.id
            where ${ofMaker} and ${isLast} and exists (select from lines l where l.version_id = v.id and l.material_id = m.id))
          union (select v.number, v.formula_id from (select l.version_id from lines l
              where l.maker_id = ${makerId} and l.material_id = m.id limit ${MOST_LINES}) l
            join versions v on v.id = l.version_id where ${ofMaker} and ${isLast})) v
        join formulas f on f.id = v.formula_id where f.maker_id = ${makerId}`;
    },
  },
  {
    ...{ kind: "note", text: sql`v.note`, title: sql`f.name`, said: sql`v.note`, id: sql`f.id`, part: sql`v.number::text`, isProse: true },
    from: (makerId) => sql`versions v join formulas f on f.id = v.formula_id where v.maker_id = ${makerId} and v.note <> ''`,
  },
  {
    ...{ kind: "batch", text: sql`b.code`, title: sql`b.code`, said: sql`b.name`, id: sql`b.id`, isProse: false },
    part: sql`case when b.finished_at is null then '' else 'record' end`,
    from: (makerId) => sql`batches b where b.maker_id = ${makerId}`,
  },
  {
    ...{ kind: "entry", text: sql`said_in_entry(e.entry)`, title: sql`b.code`, said: sql`said_in_entry(e.entry)`, id: sql`b.id` },
    ...{ part: nothing, isProse: true },
    from: (makerId) => sql`batch_entries e join batches b on b.id = e.batch_id where e.maker_id = ${makerId} and e.kind in (${entryKinds})`,
  },
  {
    ...{ kind: "material", text: sql`m.name`, title: sql`m.name`, said: nothing, id: sql`m.slug`, part: nothing, isProse: false },
    from: (makerId) => sql`materials m where (m.maker_id is null or m.maker_id = ${makerId})`,
  },
  {
    ...{ kind: "lot", text: sql`l.code`, title: sql`l.code`, said: sql`m.name`, id: sql`m.slug`, part: nothing, isProse: false },
    from: (makerId) => sql`lots l join materials m on m.id = l.material_id where l.maker_id = ${makerId}`,
  },
  {
    ...{ kind: "lot", text: sql`l.supplier`, title: sql`l.code`, said: sql`concat_ws(', ', m.name, l.supplier)`, id: sql`m.slug` },
    ...{ part: nothing, isProse: false },
    from: (makerId) => sql`lots l join materials m on m.id = l.material_id where l.maker_id = ${makerId} and l.supplier <> ''`,
  },
  {
    ...{ kind: "container", text: sql`c.name`, title: sql`c.name`, said: nothing, id: sql`c.id`, part: nothing, isProse: false },
    from: (makerId) => sql`containers c where c.maker_id = ${makerId}`,
  },
  {
    ...{ kind: "given", text: sql`g.to_whom`, title: sql`b.code`, said: sql`g.to_whom`, id: sql`b.id`, part: nothing, isProse: false },
    from: (makerId) => sql`given_containers g join batches b on b.id = g.batch_id where g.maker_id = ${makerId}`,
  },
  {
    ...{ kind: "check", text: sql`c.note`, title: sql`b.code`, said: sql`c.note`, id: sql`b.id`, part: sql`c.storage`, isProse: true },
    from: (makerId) => sql`checks c join batches b on b.id = c.batch_id where c.maker_id = ${makerId} and c.note <> ''`,
  },
  {
    ...{ kind: "label", text: sql`said_on_label(t.design)`, title: sql`f.name`, said: sql`said_on_label(t.design)`, id: sql`f.id` },
    // A label is looked at on a batch: the last one that was finished.
    part: sql`coalesce((select b.id::text from batches b join versions v on v.id = b.version_id
      where v.formula_id = f.id and b.finished_at is not null order by b.finished_at desc limit 1), '')`,
    isProse: true,
    from: (makerId) => sql`labels t join formulas f on f.id = t.formula_id where t.maker_id = ${makerId}`,
  },
  {
    ...{ kind: "product", text: sql`p.name`, title: sql`p.name`, said: sql`p.note`, id: sql`p.id`, part: nothing, isProse: false },
    from: (makerId) => sql`products p where p.maker_id = ${makerId}`,
  },
  {
    ...{ kind: "scent", text: sql`s.name`, title: sql`s.name`, said: nothing, id: sql`s.id`, part: nothing, isProse: false },
    from: (makerId) => sql`scents s where s.maker_id = ${makerId}`,
  },
  {
    ...{ kind: "learned", text: sql`r.learned`, title: sql`f.name`, said: sql`r.learned`, id: sql`f.id`, part: sql`v.number::text` },
    isProse: true,
    from: (makerId) =>
      sql`round_readings r join versions v on v.id = r.version_id join formulas f on f.id = v.formula_id where r.maker_id = ${makerId} and r.learned <> ''`,
  },
];

/** Rows of a source in which a text stands as it was typed; where they are too few, those with nearly the same, and with its words. */
function partOf({ kind, from, text, title, said, id, part, isProse }: Source, makerId: string, wanted: Wanted): SQL {
  const wordsOf = (of: SQL) => sql`to_tsvector('simple', ${of}) @@ websearch_to_tsquery('simple', ${wanted.text})`;
  const rowsOf = (isFound: (of: SQL) => SQL) => sql`
    select ${text} as looked, ${title} as title, ${said} as said, ${id}::text as id, ${part} as part
    from ${from(makerId, { wanted, isFound })} and ${isFound(text)}`;
  const alike = rowsOf((of) => (isProse ? sql`(${isAlike(wanted, of)} or ${wordsOf(of)})` : isAlike(wanted, of)));
  const found = wanted.hasExact
    ? sql`exact as materialized (${rowsOf((of) => sql`${of} ilike ${`%${wanted.pattern}%`}`)} limit ${MOST_EXACT}),
        x as (select * from exact union (${alike} and (select count(*) from exact) < ${MOST_OF_KIND} limit ${MOST_ALIKE}))`
    : sql`x as (${alike} limit ${MOST_ALIKE})`;
  const score = sql`greatest(${nearness(wanted, sql`x.looked`)}, case when ${isProse ? wordsOf(sql`x.looked`) : sql`false`} then 0.9 else 0 end)
    + case when x.looked ilike ${`${wanted.pattern}%`} then 0.2 else 0 end`;
  return sql`(with ${found} select ${sql.raw(`'${kind}'`)} as kind, x.title, x.said, x.id, x.part, ${score} as score
    from x order by score desc, x.title limit ${MOST_OF_KIND})`;
}

/**
 * Finds a text in everything a maker has: spelling forgiven by trigrams (pg_trgm), words in any order by full text. What begins with
 * it comes first. Each kind at most five times.
 */
export async function findEverywhere(db: Executor, makerId: string, text: string): Promise<readonly Found[]> {
  const wanted = wantedOf(text);
  const parts = sources.map((source) => partOf(source, makerId, wanted));
  return db.transaction(async (tx) => {
    // The planner takes a comparison of trigrams for cheap and would rather compare every row than ask the index. To plan anew
    // for every search takes longer than to search.
    await tx.execute(
      sql`select set_config('pg_trgm.word_similarity_threshold', ${String(ALIKE)}, true), set_config('enable_seqscan', 'off', true),
        set_config('plan_cache_mode', 'force_generic_plan', true)`,
    );
    const found = tx
      .select({
        kind: sql<FoundKind>`kind`,
        title: sql<string>`title`,
        said: sql<string>`said`,
        id: sql<string>`id`,
        part: sql<string>`part`,
        score: sql`score`.mapWith(Number),
      })
      .from(sql`(${sql.join(parts, sql` union all `)}) found`)
      .prepare(`search-${wanted.words.length}${wanted.hasExact ? "-exact" : ""}`);
    return found.execute();
  });
}
