import Joi from "joi";
import { markets } from "../../library/markets.ts";
import { labelAligns, labelFields, netsIn } from "../../packaging/labels/labelDesign.ts";
import { formatField, idField, orUnknown } from "../fields.ts";

const LONGEST_TEXT = 2000;
const MOST_BOXES = 60;

const side = Joi.number().min(5).max(1_000);
const place = Joi.number().min(-1_000).max(1_000);

/** A label to true scale: fields in their places, mm. */
export const labelSchema = Joi.object({
  format: formatField("tensidrum-label/1"),
  isShared: Joi.boolean().default(false),
  name: Joi.string().allow("").max(120).required(),
  widthMm: side.required(),
  heightMm: side.required(),
  naming: Joi.string().valid("inci", "common").required(),
  months: Joi.number().integer().min(1).max(60).required(),
  openMonths: orUnknown(Joi.number().integer().min(1).max(60)).required(),
  market: Joi.string()
    .valid(...markets.map(({ slug }) => slug))
    .required(),
  netIn: Joi.string()
    .valid(...netsIn)
    .required(),
  boxes: Joi.array()
    .items(
      Joi.object({
        id: idField.required(),
        field: Joi.string()
          .valid(...labelFields)
          .required(),
        x: place.required(),
        y: place.required(),
        width: Joi.number().min(1).max(1_000).required(),
        height: Joi.number().min(1).max(1_000).required(),
        points: Joi.number().min(3).max(200).required(),
        leastPoints: Joi.number().min(3).max(200).required(),
        align: Joi.string()
          .valid(...labelAligns)
          .required(),
        isBold: Joi.boolean().required(),
        text: Joi.string().allow("").max(LONGEST_TEXT).required(),
      }),
    )
    .max(MOST_BOXES)
    .required(),
});
