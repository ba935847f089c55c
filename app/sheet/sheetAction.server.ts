import { data, redirect } from "react-router";
import { isDatabaseAway } from "../../db/failures.server";
import { formAnswer } from "../frame/formAnswer";
import { newDraftOf, restoreVersion } from "./versions/newDraft.server";
import { keepAsMaterial } from "./versions/keepAsMaterial.server";
import { readSheetForm, type SheetForm, type SheetIntent } from "./forms.server";
import { beginDraft, discardDraft, removeFormula, saveSheet, finaliseSheet, type SaveResult } from "./saveSheet.server";
import { withLineStepped, withNewLine, withNewPart, withNewPhase, withoutLine } from "./typed/editing";
import type { TypedSheet } from "./typed/typedSheet";

/** Does what a button of the sheet asked for. Typed text comes back with every answer that is not a success. */
export async function answerSheetForm(formulaId: string, formData: FormData) {
  const form = readSheetForm(formData);
  try {
    return await carryOut(formulaId, form);
  } catch (error) {
    if (isDatabaseAway(error)) {
      const { typed, versionId, revision } = form;
      return data({ kind: "away", typed, base: { versionId, revision } } as const, { status: 503 });
    }
    throw error;
  }
}

/** Saves what a page sends by itself while one types. */
export async function answerSave(formulaId: string, formData: FormData) {
  const { versionId, revision, typed, problems, saveId, unanswered } = readSheetForm(formData);
  if (problems.length > 0) return inTheWay({ kind: "problems", problems }, typed);
  const result = await saveSheet({ formulaId, versionId, revision }, typed, { saveId, unanswered });
  return result.kind === "saved" ? data(result) : inTheWay(result, typed);
}

async function carryOut(formulaId: string, form: SheetForm) {
  const { intent } = form;
  const base = { formulaId, versionId: form.versionId, revision: form.revision };
  const here = `/sheet/${formulaId}`;
  switch (intent.kind) {
    case "stay":
      return redirect(here);
    case "begin-draft":
      await beginDraft(formulaId, form.versionId);
      return redirect(here);
    case "branch":
      return redirect(`/sheet/${(await newDraftOf(formulaId, form.versionId)).formulaId}`);
    case "as-material":
      return redirect(`/shelf/${await keepAsMaterial(formulaId, form.versionId)}`);
    case "restore":
      await restoreVersion(formulaId, form.versionId);
      return redirect(here);
    case "discard-draft":
      return redirect((await discardDraft(base)).formulaStays ? here : "/");
    case "delete-formula":
      await removeFormula(formulaId);
      return redirect("/");
    case "finalise": {
      if (form.problems.length > 0) return inTheWay({ kind: "problems", problems: form.problems }, form.typed);
      const result = await finaliseSheet(base, form.typed, form.note);
      if (result.kind === "final") return redirect(`${here}/${result.number}`);
      return inTheWay(result, form.typed);
    }
    default: {
      if (form.problems.length > 0) return inTheWay({ kind: "problems", problems: form.problems }, form.typed);
      const result = await saveSheet(base, edited(form, intent));
      if (result.kind !== "saved") return inTheWay(result, form.typed);
      const search = intent.kind === "find" ? `?${new URLSearchParams({ find: form.find })}` : "";
      return redirect(`${here}${search}${anchorOf(intent, form)}`);
    }
  }
}

function edited(form: SheetForm, intent: SheetIntent): TypedSheet {
  switch (intent.kind) {
    case "remove":
      return withoutLine(form.typed, intent.id);
    case "up":
      return withLineStepped(form.typed, form.moveLine, -1);
    case "down":
      return withLineStepped(form.typed, form.moveLine, 1);
    case "add":
      return withNewLine(form.typed, { id: form.newId, phase: form.newPhase, materialId: intent.id, percent: "", assay: "" });
    case "add-phase":
      return withNewPhase(form.typed);
    case "add-part":
      return withNewPart(form.typed);
    default:
      return form.typed;
  }
}

function anchorOf(intent: SheetIntent, form: SheetForm): string {
  if (intent.kind === "add") return `#line-${form.newId}`;
  if (intent.kind === "find") return "#add-a-line";
  if (intent.kind === "up" || intent.kind === "down") return `#line-${form.moveLine}`;
  return "";
}

function inTheWay(result: Exclude<SaveResult, { kind: "saved" }>, typed: TypedSheet) {
  const told = result.kind === "problems" ? { kind: result.kind, ...formAnswer(typed, result.problems) } : { ...result, typed };
  return data(told, { status: result.kind === "stale" ? 409 : 422 });
}
