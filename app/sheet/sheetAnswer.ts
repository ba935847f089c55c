import type { FormAnswer } from "../frame/formAnswer";
import type { FormBase } from "./sheetFormData";
import type { TypedSheet } from "./typed/typedSheet";

/** What the sheet's action answers when it does not lead elsewhere. */
export type SheetAnswer =
  | { readonly kind: "saved"; readonly revision: number; readonly savedAt: string }
  | ({ readonly kind: "problems" } & FormAnswer<TypedSheet>)
  | {
      readonly kind: "stale";
      readonly message: string;
      readonly revision: number;
      readonly theirs: TypedSheet;
      /** The last saves of the draft; one of this page whose answer was lost may be among them. */
      readonly saves: readonly string[];
      readonly typed: TypedSheet;
    }
  | { readonly kind: "refused"; readonly message: string; readonly remedy: string }
  | {
      readonly kind: "away";
      readonly why?: "server" | "database" | "busy" | "disk";
      readonly typed?: TypedSheet;
      readonly base?: FormBase;
    };
