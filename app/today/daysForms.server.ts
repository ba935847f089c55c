import { isCalendarDay } from "@tensidrum/core/quantities";
import Joi from "joi";
import { choice, group, type TypedOf } from "../frame/fields.server";

const day = Joi.string()
  .allow("")
  .default("")
  .custom((typed: string) => (isCalendarDay(typed) ? typed : ""));

/** Which days are to be seen. */
export const daysQuestions = group({ span: choice(["week", "month"], "week"), of: day });

/** A calendar address is made or revoked. */
export const feedForm = group({ intent: choice(["new", "revoke"]) });
export type TypedFeed = TypedOf<typeof feedForm>;
