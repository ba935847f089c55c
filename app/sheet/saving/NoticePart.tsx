import { useSheet } from "../SheetState";
import { SaveNotice } from "./SaveNotice";
import { FormError } from "../../components/FormError";

/** Whatever stands between the sheet and its being saved, told at its head. */
export function NoticePart() {
  const { editor, known, save, problems } = useSheet();
  const general = problems.find(({ field }) => field === "lines" || field === "restLineId" || /^aim\.|^phases\..*\.title$/.test(field));
  return (
    <>
      <SaveNotice status={save.status} typed={editor.typed} nameOf={known.nameOf} saver={save.saver} />
      {general !== undefined && <FormError>{general.message}</FormError>}
    </>
  );
}
