import { cameInPieces } from "./came-in-pieces";
import { extraPiece } from "./extra-piece";
import { extraPieceSettled } from "./extra-piece-settled";
import { learn } from "./learn";
import { leaveIn } from "./leave-in";
import { looseInPlace } from "./loose-in-place";
import { looseName } from "./loose-name";
import { loosePutBack } from "./loose-put-back";
import { looseTake } from "./loose-take";
import { makeSchematic } from "./make-schematic";
import { noteWell } from "./note-well";
import { openAssembly } from "./open-assembly";
import { putBack } from "./put-back";
import { sayLining } from "./say-lining";
import { serveInPlace } from "./serve-in-place";
import { takeParts } from "./take-parts";

/** What hands do here. */
export const stripActs = [
  takeParts,
  serveInPlace,
  leaveIn,
  putBack,
  noteWell,
  sayLining,
  openAssembly,
  learn,
  extraPiece,
  extraPieceSettled,
  cameInPieces,
  looseTake,
  loosePutBack,
  looseName,
  makeSchematic,
  looseInPlace,
] as const;
