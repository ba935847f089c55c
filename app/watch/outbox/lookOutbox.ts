import type { FormAnswer } from "../../frame/formAnswer";
import type { TypedWatch } from "../watchForms.server";
import type { KeptLook, LookKeep } from "./lookKeep";

/** What became of a look that was sent: the server has it, it waits for the server, or what is wrong with it. */
export type SentLook = { readonly kind: "kept" } | { readonly kind: "waits" } | { readonly kind: "refused"; readonly answer: LookAnswer };

export type LookAnswer = FormAnswer<TypedWatch>;

type Send = (address: string, form: FormData) => Promise<Response>;

const post: Send = (address, body) => fetch(address, { method: "POST", body });

/** A look as it was filled in. */
export function keptLook(batch: string, form: FormData): KeptLook {
  const photo = form.get("photo");
  const fields = [...form].flatMap(([name, value]) => (typeof value === "string" ? [[name, value] as const] : []));
  const id = fields.find(([name]) => name === "id")?.[1] ?? "";
  return { id, batch, fields, photo: photo instanceof File && photo.size > 0 ? photo : null, why: null };
}

/** Sends one look. The server takes the same one once, however often it is sent. */
async function sent({ batch, fields, photo }: KeptLook, send: Send): Promise<SentLook> {
  const form = new FormData();
  for (const [name, value] of fields) form.append(name, value);
  if (photo !== null) form.append("photo", photo);
  try {
    const answer = await send(`/watch/${batch}/looks`, form);
    if (answer.ok) return { kind: "kept" };
    if (answer.status === 422) return { kind: "refused", answer: (await answer.json()) as LookAnswer };
    return { kind: "waits" };
  } catch {
    return { kind: "waits" };
  }
}

/** Keeps a look on this device, sends it, and forgets it once the server has it or the maker can mend it in the form. */
export async function keepAndSend(keep: LookKeep, look: KeptLook, send: Send = post): Promise<SentLook> {
  await keep.put(look);
  const outcome = await sent(look, send);
  if (outcome.kind !== "waits") await keep.remove(look.id);
  return outcome;
}

/**
 * Sends what waits, in the order it was kept. What the server will not take stays with why, for the maker to see.
 * @returns how many the server has now
 */
export async function sendWaiting(keep: LookKeep, batch: string, send: Send = post): Promise<number> {
  let kept = 0;
  for (const look of (await keep.all(batch)).filter(({ why }) => why === null)) {
    const outcome = await sent(look, send);
    if (outcome.kind === "waits") break;
    if (outcome.kind === "kept") {
      await keep.remove(look.id);
      kept += 1;
    } else {
      await keep.put({ ...look, why: outcome.answer.sentence });
    }
  }
  return kept;
}
