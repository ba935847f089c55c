/** A page of the application, and what people call it. */
export interface Place {
  readonly to: string;
  readonly words: string;
  /** Other words for it. */
  readonly also: string;
}

/** Every page that needs no formula or batch to be chosen first. */
export const places: readonly Place[] = [
  { to: "/", words: "Today", also: "home start due now board" },
  { to: "/days", words: "The coming days", also: "week calendar print agenda plan schedule" },
  { to: "/days?span=month", words: "The month", also: "calendar coming days" },
  { to: "/shelf", words: "The Shelf", also: "stock cupboard materials lots inventory ingredients" },
  { to: "/shelf/receive", words: "Receive a lot", also: "stock bought delivery new bottle purchase" },
  { to: "/shelf/outlook", words: "Outlook: plan batches", also: "stock plan enough lacks largest batch" },
  { to: "/shelf/shopping", words: "Shopping list", also: "buy order stock prices" },
  { to: "/shelf/materials/new", words: "New material of your own", also: "ingredient add" },
  { to: "/shelf/materials/compare", words: "Two materials side by side", also: "compare substitute" },
  { to: "/shelf/import", words: "Import lots", also: "csv spreadsheet stock" },
  { to: "/shelf/make/solution", words: "Make a stock solution", also: "citric acid lye dilute percent" },
  { to: "/shelf/make/water", words: "Make a plant water", also: "infusion tea herb extract" },
  { to: "/scents", words: "Scent blends", also: "perfume essential oils fragrance" },
  { to: "/import", words: "Import formula", also: "file json open" },
  { to: "/bench", words: "The bench", also: "batches make weigh finish record" },
  { to: "/fill", words: "Fill and label", also: "bottles label containers finish print" },
  { to: "/fill/containers", words: "Containers", also: "bottles jars pumps tubes" },
  { to: "/watch", words: "Watch", also: "checks samples stability look shelf life" },
  { to: "/watch/blind", words: "Blind tests", also: "testers panel triangle" },
  { to: "/compare", words: "Compare", also: "rounds versions products side by side" },
  { to: "/compare/products/new", words: "New product to come close to", also: "printed list dupe like" },
  { to: "/settings", words: "Settings", also: "scales units currency meter tablet device codes drops flow cup" },
  { to: "/settings/backups", words: "Backups", also: "back up restore save export everything move machine" },
];
