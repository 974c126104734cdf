import { addPart } from "./add-part";
import { bringModelIn } from "./bring-model-in";
import { bringPartsIn } from "./bring-parts-in";
import { changeVariant } from "./change-variant";
import { dropSheet } from "./drop-sheet";
import { editionOfSheet } from "./edition-of-sheet";
import { keepSheet } from "./keep-sheet";
import { listPiece } from "./list-piece";
import { markPicture } from "./mark-picture";
import { modelOfSheet } from "./model-of-sheet";
import { modelWorth } from "./model-worth";
import { nameModel } from "./name-model";
import { partFacts } from "./part-facts";
import { previewModelFile } from "./preview-model-file";
import { previewParts } from "./preview-parts";
import { pricesOfSheet } from "./prices-of-sheet";
import { putMinutesIn } from "./put-minutes-in";
import { removeInterchangeSet } from "./remove-interchange-set";
import { retirePart } from "./retire-part";
import { reviseModel } from "./revise-model";
import { saveInterchangeSet } from "./save-interchange-set";
import { saveKit } from "./save-kit";
import { saveSerialRules } from "./save-serial-rules";
import { sheetColumns } from "./sheet-columns";
import { sheetFamily } from "./sheet-family";
import { sheetRow } from "./sheet-row";
import { sheetSure } from "./sheet-sure";
import { startModel } from "./start-model";
import { takeCheck } from "./take-check";
import { takeConsensus } from "./take-consensus";
import { takeLesson } from "./take-lesson";
import { takeOverLacking } from "./take-over-lacking";

/** What hands do here. */
export const libraryActs = [
  reviseModel,
  putMinutesIn,
  takeCheck,
  saveSerialRules,
  startModel,
  markPicture,
  previewModelFile,
  bringModelIn,
  modelWorth,
  nameModel,
  changeVariant,
  takeOverLacking,
  saveInterchangeSet,
  removeInterchangeSet,
  saveKit,
  previewParts,
  bringPartsIn,
  addPart,
  partFacts,
  retirePart,
  listPiece,
  takeConsensus,
  takeLesson,
  keepSheet,
  pricesOfSheet,
  sheetFamily,
  sheetColumns,
  sheetRow,
  sheetSure,
  modelOfSheet,
  editionOfSheet,
  dropSheet,
] as const;
