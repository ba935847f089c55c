import type { OwnProcess } from "@tensidrum/core/formula";
import { readJson } from "@tensidrum/core/formats";
import Joi from "joi";
import { group } from "../../frame/fields.server";
import { readForm } from "../../frame/readForm.server";

/** What the page of the steps sends: the maker's steps, or null for the suggested ones. Their shape is for the core to read. */
const stepsForm = group({ process: Joi.object<OwnProcess>().unknown().allow(null).required() });

export async function readSteps(request: Request): Promise<OwnProcess | null> {
  return readForm(stepsForm, readJson(await request.text())).typed.process as OwnProcess | null;
}
