import { group, id, text, type TypedOf } from "../../frame/fields.server";

/** To whom the containers of a row of a batch went, and since when they are open. */
export const givenForm = group({ batch: id(), row: text(200), to: text(300), opened: text(10) });
export type SentNote = TypedOf<typeof givenForm>;
