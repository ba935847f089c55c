import { group, verbatim } from "../fields.server";

const MOST_TYPED = 20_000;

/** What is looked for. */
export const searchQuestions = group({ q: verbatim(MOST_TYPED) });
