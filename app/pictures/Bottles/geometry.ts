/** Width of one place in the row, and of the glass in it, px. */
const PLACE = 74;
const GLASS = { width: 46, height: 84, neck: 20, shoulder: 12 };
/** So many are drawn; of more, those around the one being filled. */
const MOST_DRAWN = 4;

/** Whose neck is as wide as its body. */
const OPEN = new Set(["jar", "bulk", "piping-bag", "sachet"]);

export interface BottlePlace {
  readonly number: number;
  readonly x: number;
  readonly outline: string;
  /** Top of what is in it, and how high that is, px. */
  readonly fillY: number;
  readonly fillHeight: number;
  readonly state: "filled" | "current" | "open";
}

export interface BottleRow {
  readonly width: number;
  readonly height: number;
  readonly places: readonly BottlePlace[];
  /** Containers that are not drawn, before and behind. */
  readonly hidden: { readonly before: number; readonly behind: number };
}

/** A row of containers of one kind, each as full as its mass beside the planned one. A bottle with half of it is half full. */
export function bottleRow({
  type,
  planned,
  count,
  filled,
  current,
}: {
  readonly type: string;
  /** Net content of each, g. */
  readonly planned: number;
  readonly count: number;
  readonly filled: readonly { readonly number: number; readonly grams: number }[];
  readonly current: number;
}): BottleRow {
  const last = Math.max(count, current, ...filled.map(({ number }) => number));
  const drawn = Math.min(MOST_DRAWN, last);
  const first = Math.max(1, Math.min(current - Math.floor(drawn / 2), last - drawn + 1));
  const grams = new Map(filled.map((one) => [one.number, one.grams]));
  const outline = OPEN.has(type) ? jar() : bottle();
  return {
    width: drawn * PLACE,
    height: GLASS.height + 4,
    hidden: { before: first - 1, behind: last - (first + drawn - 1) },
    places: Array.from({ length: drawn }, (_, at): BottlePlace => {
      const number = first + at;
      const held = grams.get(number);
      const part = held === undefined ? 0 : Math.min(1, held / planned);
      const body = GLASS.height - GLASS.shoulder - 6;
      const fillHeight = part * body;
      return {
        number,
        x: at * PLACE + (PLACE - GLASS.width) / 2,
        outline,
        fillY: GLASS.height - fillHeight,
        fillHeight,
        state: held !== undefined ? "filled" : number === current ? "current" : "open",
      };
    }),
  };
}

function bottle(): string {
  const { width, height, neck, shoulder } = GLASS;
  const [left, right] = [(width - neck) / 2, (width + neck) / 2];
  return `M${left} 2V8L2 ${8 + shoulder}V${height - 4}Q2 ${height} 6 ${height}H${width - 6}Q${width - 2} ${height} ${width - 2} ${height - 4}V${8 + shoulder}L${right} 8V2Z`;
}

function jar(): string {
  const { width, height } = GLASS;
  return `M2 14V${height - 4}Q2 ${height} 6 ${height}H${width - 6}Q${width - 2} ${height} ${width - 2} ${height - 4}V14Z`;
}
