/** The id fields outside the form's element name to belong to it. */
export const SHEET_FORM = "sheet";
