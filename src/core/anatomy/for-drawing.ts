import type { Anatomy, Position } from "./types";

/** What of a seat its place in a drawing stands on; the rest, a page that only draws the reel need not carry. */
function drawnSeat({
  id,
  assemblyId,
  name,
  ordinal,
  partTypeId,
  acrossMm,
  alongMm,
  turned,
  restsOn,
  passesThrough,
  ridesOn,
  insideOf,
  editions,
  guessed,
}: Position): Position {
  return {
    id,
    assemblyId,
    name,
    ordinal,
    partTypeId,
    acrossMm,
    ...(alongMm === undefined ? {} : { alongMm }),
    turned,
    turnsWith: "none",
    restsOn,
    ...(ridesOn === undefined ? {} : { ridesOn }),
    passesThrough,
    heldBy: [],
    ...(insideOf === undefined ? {} : { insideOf }),
    editions,
    guessed,
    setFirst: [],
    verify: [],
    hides: false,
  };
}

/** A machine as far as it is drawn: the same plates, a third of the letters. Not for orders, checks or fits. */
export const anatomyForDrawing = (anatomy: Anatomy): Anatomy => ({
  ...anatomy,
  positions: anatomy.positions.map(drawnSeat),
  operations: [],
  gearPairs: [],
  batches: [],
});
