const DRY_FORMS: ReadonlySet<string | null> = new Set(["powder", "granule", "flake", "needle", "crystal"]);

/** Whether a material stands in the cupboard dry and loose: it is heaped on a spoon and blown about by a draught. */
export function isDryForm(form: string | null): boolean {
  return DRY_FORMS.has(form);
}
