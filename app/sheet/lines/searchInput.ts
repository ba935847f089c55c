/** The search field is drawn plain first and with its matches later; it is the same field. */
export const SEARCH_INPUT = {
  name: "find",
  autoComplete: "off",
  placeholder: "add a material: name, INCI name or role",
  "aria-label": "Add a material: name, INCI name or role",
} as const;
