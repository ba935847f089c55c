import { blindKinds } from "@tensidrum/core/stability";
import { Refusal } from "@tensidrum/core/quantities";
import { choice, group, id, idOrNone, text, type TypedOf } from "../../frame/fields.server";
import { readAddress } from "../../frame/readForm.server";

/** A blind test is begun. */
export const blindForm = group({
  id: id(),
  kind: choice(blindKinds, "triangle"),
  first: idOrNone(),
  second: idOrNone(),
  testers: text(10),
  question: text(120),
});
export type TypedBlind = TypedOf<typeof blindForm>;

/** What testers chose: a tester and a code on each line. */
export const answersForm = group({ answers: text(4_000) });
export type TypedAnswers = TypedOf<typeof answersForm>;

/** @throws Refusal where no blind test can lie at the address */
export function readBlindTest(params: object): string {
  const nothing = () => new Refusal("not-found", "This blind test is not here.", "Go to the blind tests and look for it there.");
  return readAddress(group({ test: id() }), params, nothing).test;
}
