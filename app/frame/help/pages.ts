/** A page of help: the practitioner's order, in short. */
export interface HelpTopic {
  readonly slug: string;
  readonly title: string;
  /** Words people look for it by. */
  readonly also: string;
  /** Addresses it is the help of, by their beginning. */
  readonly of: readonly string[];
  /** A picture of the real screen, by its name in the folder of screenshots; null where none helps. */
  readonly picture: string | null;
  readonly alt: string;
  readonly steps: readonly string[];
  /** Where to go on. */
  readonly doors: readonly { readonly to: string; readonly words: string }[];
}

export const helpTopics: readonly HelpTopic[] = [
  {
    slug: "first-batch",
    title: "Your first batch",
    also: "begin start newcomer tutorial how to guide help",
    of: ["/"],
    picture: "today",
    alt: "Today: what is due, the coming days, and the formulas",
    steps: [
      "Begin with a formula: choose what it is, 200 g of hand wash for example, and take one of the starts.",
      "Look at active matter and findings. A red stop must be solved; what is to be considered may stay.",
      "Finalise the version. It never changes again, so a batch always knows what it was made from.",
      "Make this version: choose the lots, tare the beakers, tick what must be right before you begin.",
      "Weigh line by line. Read the pH, dose little, wait two minutes, read again. Salt comes after the pH.",
      "Let it rest until the next day before you judge it. Then finish it with its yield and fill.",
    ],
    doors: [
      { to: "/bench", words: "What can be made" },
      { to: "/settings", words: "Your scales" },
    ],
  },
  {
    slug: "sheet",
    title: "The Sheet",
    also: "formula lines percent phases water rest q.s. versions draft final",
    of: ["/sheet", "/weighing", "/import"],
    picture: "sheet",
    alt: "The Sheet with its lines by phase, the measuring bottle, and the findings",
    steps: [
      "A line is a material as it stands in its bottle, in percent by weight. Water is q.s. to 100 %.",
      "Type a name or a recipe into the field below the lines. What is not understood stays open for you to choose.",
      "The strength of a lot counts: 30 % of a betaine at 30 % brings 9 % active matter.",
      "A finding says what is wrong and what to do. You may accept it with a reason; it stays in the history.",
      "A draft saves by itself. Ctrl Z takes back, also after the page was loaded again.",
    ],
    doors: [{ to: "/shelf", words: "The Shelf" }],
  },
  {
    slug: "blend",
    title: "Mild and foaming",
    also: "surfactants anionic amphoteric nonionic cationic irritation active matter triangle foam designer find a blend",
    of: ["/designer"],
    picture: "triangle",
    alt: "The blend triangle with contours of irritation",
    steps: [
      "Anionics foam and clean and can dry the skin. Amphoterics soften them. Nonionics are mild and foam less.",
      "A fifth to a half of amphoteric in the blend makes it milder and its foam steadier.",
      "Plain cationics and anionics clash and turn cloudy. Take a conditioner made for anionic blends.",
      "Drag the point in the triangle: active matter stays, irritation and foam move.",
      "Find a blend searches your shelf for every blend that keeps your wishes. Fix the blend proposes three of them.",
      "The irritation index ranks blends. It is no test of safety, and your own patch test comes first.",
    ],
    doors: [{ to: "/help/estimates", words: "What the estimates know" }],
  },
  {
    slug: "ph",
    title: "Set the pH",
    also: "acid base citric lye meter calibrate dilution dose drops",
    of: [],
    picture: "tuning",
    alt: "The pH at the bench: the next dose and the stair of doses so far",
    steps: [
      "Skin and preservative both want a pH. The corridor shows where all lines agree.",
      "Calibrate the meter in two buffers. Read on 2 g in 18 g of water, not in the thick wash.",
      "Dose little, stir, wait two minutes and read again. The advice never goes the whole way at once.",
      "Weigh drops once; from then on drops are grams.",
      "Lye burns. Wear goggles and gloves, and put it into water, never water onto it.",
    ],
    doors: [{ to: "/shelf/make/solution", words: "Make a stock solution" }],
  },
  {
    slug: "thickness",
    title: "Thicken it",
    also: "salt gum viscosity curve peak thin xanthan flow cup",
    of: ["/bench/salt-samples"],
    picture: "thickness",
    alt: "The salt curve of a base with its peak and the samples it was drawn from",
    steps: [
      "Salt thickens blends of anionic and amphoteric up to a peak. Past it the wash runs thin again.",
      "Set the pH first: it moves the curve. Scent can collapse it, so it goes in before the salt.",
      "Make five small samples once and the peak of your base is known.",
      "Gums need a slurry in glycerin and a day. Stir slowly and judge tomorrow.",
      "Measure the same way each time: by the flow cup, a falling bead, or a word.",
    ],
    doors: [{ to: "/bench", words: "The bench" }],
  },
  {
    slug: "preserve",
    title: "Keep it from spoiling",
    also: "preservative mould water activity microbes shelf life challenge benzoate",
    of: [],
    picture: null,
    alt: "",
    steps: [
      "What contains water spoils without a preservative, also in the fridge.",
      "Acid preservatives such as benzoate and sorbate work below pH 5.5 and fade above it.",
      "Plant waters, honey and clay feed microbes. They need more care, not a higher dose by feel.",
      "Clean hands, boiled beakers and a pump instead of a jar are worth as much as the bottle of preservative.",
      "Only a laboratory can show that it holds. What you sell needs its safety assessment where you live.",
    ],
    doors: [{ to: "/watch", words: "Watch your samples" }],
  },
  {
    slug: "bench",
    title: "At the bench",
    also: "batch weigh steps tablet phone scale meter instruments offline record stop",
    of: ["/bench"],
    picture: "bench-step",
    alt: "A step at the bench: streams of the beakers and the weight that is due",
    steps: [
      "One step, one large number. Space or Enter does what the step asks.",
      "A weight that is off asks: let it stand, or let the lines still to come follow it.",
      "Nothing is ever overwritten. Take an entry back and enter another; both stay in the record.",
      "Without a connection the bench goes on. What you enter is kept on the device and sent later.",
      "No instruments? Simulated ones read by themselves, so that you can practise.",
      "Something went wrong? Skip the step with a reason, or stop there. The record says what happened.",
    ],
    doors: [
      { to: "/settings", words: "Scales, meter and devices" },
      { to: "/bench", words: "What is being made" },
    ],
  },
  {
    slug: "fill",
    title: "Fill and label",
    also: "bottles label print container cost batch code best before finish",
    of: ["/fill"],
    picture: "label",
    alt: "A label at true scale beside what is on it",
    steps: [
      "Say which containers and how many. A sample that is kept is watched by itself from then on.",
      "Fill one after the other; the bar shows what is left in the beaker.",
      "The label carries names in falling order, the code of the batch and how long it lasts once opened.",
      "Print a test with a rule beside it and measure it before you print a sheet.",
      "What one container costs is on its own page, with loss and label in it.",
    ],
    doors: [{ to: "/fill/containers", words: "Your containers" }],
  },
  {
    slug: "watch",
    title: "Watch, and come nearer",
    also: "checks stability compare rounds blind test drift recall samples product",
    of: ["/watch", "/compare"],
    picture: "watch",
    alt: "A watched batch: its readings over weeks and where they go",
    steps: [
      "Keep a sample at room temperature and one in a warm place. Looks are planned after 1, 2, 4, 8 and 12 weeks.",
      "pH off by 0.3, a third of the thickness, a smell or a film: the page says what to do with the bottles.",
      "Where a lot or a batch went is one click away, so bottles can be called back.",
      "Change one thing per round. Two at once cannot be told apart, and Compare says so.",
      "Measure the product you want to come close to as you measure your own: then the next change can be told.",
    ],
    doors: [
      { to: "/compare", words: "Compare" },
      { to: "/days", words: "The coming days" },
    ],
  },
  {
    slug: "estimates",
    title: "What is an estimate",
    also: "why model accurate formula source science range",
    of: [],
    picture: null,
    alt: "",
    steps: [
      "Sums of your own weights are exact. What is marked as an estimate comes from a model or a rule of the trade.",
      "An estimate ranks and warns. Your own reading always stands above it.",
    ],
    doors: [],
  },
];

/** The help of a page: of the longest beginning of its address; the first topic where none is. */
export function helpFor(pathname: string): HelpTopic {
  const fits = helpTopics
    .flatMap((topic) => topic.of.map((beginning) => ({ topic, beginning })))
    .filter(({ beginning }) => pathname === beginning || pathname.startsWith(`${beginning}/`));
  const [best] = fits.sort((a, b) => b.beginning.length - a.beginning.length);
  return best?.topic ?? (helpTopics[0] as HelpTopic);
}
