import { profiles, type ProfileSlug } from "@tensidrum/core/formula";
import Joi from "joi";
import { choice, group, list, text, type TypedOf } from "../../frame/fields.server";

const MOST_NAMES = 120;
const slugs = profiles.map(({ slug }) => slug) as readonly ProfileSlug[];
/** A percentage as the page writes it; empty where nobody pinned one. */
const percent = Joi.string()
  .pattern(/^\d{1,3}(?:\.\d{1,6})?$/)
  .allow("");

/** What is known of a printed list, and its typical percentages for a sheet. */
export const listForm = group({
  intent: choice(["keep", "send"]),
  pins: list(percent, MOST_NAMES),
  /** Place of the last name at or above 1 %. */
  after: text(4),
  percents: list(percent, MOST_NAMES),
  /** What stays when it is dried, %. */
  dryMatter: percent.default(""),
  /** As it was read. */
  ph: percent.default(""),
  /** What it is; empty where anything is possible. */
  profile: choice(["", ...slugs]),
});
export type TypedList = TypedOf<typeof listForm>;
