/** Name of a formula for a screen; one that has none yet is shown as untitled, which is never stored. */
export function shownFormulaName(name: string): string {
  return name.trim() === "" ? "Untitled formula" : name;
}
