import { keepPageForLater } from "../../frame/keepForLater";

/** Keeps the page of a batch, with what reads kept entries: that is wanted only when there are some. */
export const keepBatchForLater = (): (() => void) => keepPageForLater(() => import("./entries.stored"));
