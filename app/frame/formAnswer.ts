/** What is wrong at a field: its path, as the field's own name says it ("lines.<id>.percent"), or "" for the form as a whole. */
export interface FieldProblem {
  readonly field: string;
  readonly message: string;
}

/** What an action answers when it did not take a form: the text as typed, the fields to correct, one sentence for the whole. */
export interface FormAnswer<Typed> {
  readonly typed: Typed;
  readonly problems: readonly FieldProblem[];
  readonly sentence: string;
}

/** The answer to a form, of what is wrong in it. */
export function formAnswer<Typed>(typed: Typed, problems: readonly FieldProblem[]): FormAnswer<Typed> {
  return { typed, problems, sentence: sentenceOf(problems) };
}

/** A problem of the form as a whole. */
export const wholeProblem = (message: string): readonly FieldProblem[] => [{ field: "", message }];

/** What is wrong at a field of an answer, or at one of the fields it groups. */
export function problemAt(answer: Pick<FormAnswer<unknown>, "problems"> | null | undefined, field: string): string | undefined {
  return answer?.problems.find((problem) => problem.field === field || problem.field.startsWith(`${field}.`))?.message;
}

/** What is to be said above a form whose fields tell their own problems: nothing while one of them says it all. */
export function sentenceAbove(answer: Pick<FormAnswer<unknown>, "problems"> | null | undefined): string | null {
  const problems = answer?.problems ?? [];
  const whole = problems.find(({ field }) => field === "");
  if (whole !== undefined) return whole.message;
  return problems.length > 1 ? `${problems.length} fields need correcting.` : null;
}

/** One sentence for all that is wrong. */
export function sentenceOf(problems: readonly FieldProblem[]): string {
  const first = problems.find(({ field }) => field === "") ?? problems[0];
  if (first === undefined) return "";
  return first.field === "" || problems.length === 1 ? first.message : `${problems.length} fields need correcting. ${first.message}`;
}
