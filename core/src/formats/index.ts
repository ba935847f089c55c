export type {
  BackupHead,
  BeadDropFile,
  DesignFile,
  FindFile,
  MicellesFile,
  RecipeFile,
  SaltCurveFile,
  SedimentationFile,
  ThickenFile,
  TitrationFile,
  UnmixFile,
} from "./fileTypes.ts";
export { formatNames } from "./formatNames.ts";
export type { FormatName } from "./formatNames.ts";
export { readBatch, readEntries, readStoredEntry } from "./readBatch.ts";
export type { BatchFile } from "./readBatch.ts";
export {
  formatSchemas,
  readAny,
  readBackupHead,
  readBeadDrop,
  readDesign,
  readDilution,
  readFind,
  readLabelDesign,
  readMaterialsFile,
  readMicelles,
  readRecipeFile,
  readSaltCurve,
  readSedimentation,
  readThicken,
  readTitration,
  readUnmix,
} from "./readFiles.ts";
export type { DilutionFile, LotOfFile, MaterialsFile } from "./readFiles.ts";
export { readFormula, readLabelledFormula, readProcess } from "./readFormula.ts";
export type { LabelledFormula } from "./readFormula.ts";
export { LONGEST_FILE, readJson } from "./readJson.ts";
export { validatedLibrary } from "./readLibrary.ts";
