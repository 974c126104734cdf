import { handleEnd } from "./modules/handle-end";
import { knobOn } from "./modules/knob";
import { builtAs } from "./modules/module";
import { underHandle, underSeats } from "./modules/under-handle";
import { steel } from "./tables/rows";

/** The handle of a conventional star drag: what lies under it, what holds it, what its knob turns on. @param shaft the seat it sits on. */
export function starDragHandle(shaft: string) {
  const belowHandle = builtAs(
    underHandle({ shaft, restsOn: "star", boreMm: 8.2, numbers: { spacer: "259", plate: "268" } }),
    "spacer",
    "spring-plate",
    "square-plate",
    "thin-washer",
  );
  const handleEnds = builtAs(
    handleEnd({
      handle: "handle",
      under: underSeats,
      star: true,
      threadMm: 6,
      acrossFlatsMm: 10,
      numbers: { nut: "261", lock: "262", keeper: "265", keeperScrew: "266", guard: "288", screw: "267" },
    }),
    "lock-screw",
    "slotted-screw",
    "keeper",
  );
  const knobs = builtAs(
    knobOn({
      handle: "handle",
      acrossMm: -62,
      knob: { number: "263", outsideMm: 19, lengthMm: 26, material: "hard plastic", priceMinor: 690 },
      pinMm: 5,
      washer: { number: "264", outsideMm: 9, thicknessMm: 0.4, material: steel },
      bearing: { number: "269", outsideMm: 9, widthMm: 3 },
      numbers: { bush: "285", screw: "286", cap: "287" },
    }),
    "pin",
    "bearing",
    "bush-under-cap",
    "bearings-under-cap",
  );
  return { belowHandle, handleEnds, knobs, end: handleEnds.builds[0], knob: knobs.builds[0] };
}
