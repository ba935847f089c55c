import Joi from "joi";
import { formatField } from "../fields.ts";

const MOST_ROWS = 100_000_000;

/** The first line of a backup; the rows follow it, a line each, and every kind ends with its digest. */
export const backupHeadSchema = Joi.object({
  format: formatField("tensidrum-backup/1"),
  madeAt: Joi.string().isoDate().required(),
  tables: Joi.number().integer().min(1).required(),
  rows: Joi.object()
    .pattern(/^[a-z_]{1,40}$/, Joi.number().integer().min(0).max(MOST_ROWS))
    .required(),
});
