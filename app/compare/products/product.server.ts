import { readNumber, Refusal } from "@tensidrum/core/quantities";
import { printedNames } from "@tensidrum/core/recipe";
import { deleteProduct, findProduct, findProductPhoto, saveProduct } from "../../../db/comparison/queries.server";
import { brokenConstraint } from "../../../db/failures.server";
import { currentMakerId, database } from "../../../db/workplace.server";
import { drawnAnew, photoAnswer } from "../../frame/photo.server";
import type { FieldProblem } from "../../frame/formAnswer";
import { readReadings } from "../readings/readReadings";
import { typedReadings } from "../readings/readingForm.server";
import type { TypedProduct } from "./productForms.server";

const [MOST_PRICE, MOST_GRAMS] = [1_000_000, 1_000_000];

/** One product, or a new one under an identifier of its own, with a list that was pasted elsewhere. */
export async function openProduct(productId: string | null, pasted = "") {
  const found = productId === null ? undefined : await findProduct(database(), currentMakerId(), productId);
  if (productId !== null && found === undefined) {
    throw new Refusal("not-found", "This product is not here.", "Go to Compare and look for it there.");
  }
  const shown = (value: number | null | undefined): string => (value == null ? "" : String(value));
  return {
    id: found?.id ?? crypto.randomUUID(),
    isNew: found === undefined,
    name: found?.name ?? "",
    printed: found?.printed ?? pasted,
    price: shown(found?.price),
    content: shown(found?.contentGrams),
    container: found?.container ?? "",
    readings: typedReadings(found),
    dryMatter: shown(found?.dryMatterPercent),
    clarity: found?.clarity ?? "",
    note: found?.note ?? "",
    hasPhoto: found?.hasPhoto ?? false,
  };
}

export type OpenProduct = Awaited<ReturnType<typeof openProduct>>;

/** Keeps a product or takes it away. Answers what is wrong. */
export async function changeProduct(typed: TypedProduct): Promise<readonly FieldProblem[]> {
  const [db, makerId] = [database(), currentMakerId()];
  if (typed.intent === "delete") {
    await deleteProduct(db, makerId, typed.id);
    return [];
  }
  const { read, problems: ofReadings } = readReadings(typed);
  const problems: FieldProblem[] = [...ofReadings];
  if (typed.name === "") problems.push({ field: "name", message: "Give it a name you know it by." });
  const number = (field: "price" | "content" | "dryMatter", most: number, says: string): number | null => {
    if (typed[field] === "") return null;
    const value = readNumber(typed[field]);
    if (value.ok && value.value <= most && (field === "content" ? value.value > 0 : value.value >= 0)) return value.value;
    problems.push({ field, message: says });
    return null;
  };
  const price = number("price", MOST_PRICE, "Give its price as a number.");
  const contentGrams = number("content", MOST_GRAMS, "Give what is in it as grams above 0.");
  const dryMatterPercent = number("dryMatter", 100, "What stays when it is dried lies between 0 and 100 %.");
  problems.push(...problemsOfList(typed.printed));
  if (problems.length > 0) return problems;
  const before = await findProduct(db, makerId, typed.id);
  const { id, name, printed, container, clarity, note } = typed;
  // Pins belong to the places of a list; another list begins without them.
  const known = before?.printed === printed ? before.known : { pins: {}, onePercentAfter: null };
  const photo = typed.photo === undefined ? null : await drawnAnew(typed.photo);
  try {
    await saveProduct(
      db,
      makerId,
      { id, name, printed, known, price, contentGrams, container, ...read, dryMatterPercent, clarity, note },
      photo,
    );
  } catch (error) {
    if (brokenConstraint(error) !== "taken") throw error;
    return [{ field: "name", message: "Another product has this name. Choose another." }];
  }
  return [];
}

function problemsOfList(printed: string): readonly FieldProblem[] {
  if (printed.trim() === "") return [];
  try {
    printedNames(printed);
    return [];
  } catch (error) {
    if (error instanceof Refusal) return [{ field: "printed", message: `${error.message} ${error.remedy}` }];
    throw error;
  }
}

/** The photo of a product. */
export async function productPhoto(productId: string): Promise<Response> {
  const photo = await findProductPhoto(database(), currentMakerId(), productId);
  if (photo === undefined) throw new Refusal("not-found", "This photo is not here.", "Go back to the product.");
  return photoAnswer(photo.picture);
}
