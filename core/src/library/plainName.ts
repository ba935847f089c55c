/** A name without accents, signs, capitals and the commonest differences of spelling. */
export function plainName(name: string): string {
  return name
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replaceAll("glycerine", "glycerin")
    .replaceAll("sulph", "sulf")
    .replaceAll("aluminum", "aluminium")
    .replace(/yz(?=e|i)/g, "ys")
    .replace(/iz(?=e[drs]?\b|ing\b|ers\b)/g, "is")
    .replace(/color(?=s?\b|ant|ing)/g, "colour")
    .replace(/[^a-z0-9]+/g, " ")
    .trim();
}
