/** Seats that several families' looks name together; a build has some of them. */

/** A drag's stack, from the gear up. */
export const stackSeats = [
  "friction-low",
  "keyed-low",
  "friction-mid",
  "eared",
  "eared-top",
  "friction-high",
  "keyed-high",
  "keyed-third",
  "friction-top",
  "friction-last",
];
/** Tension washers under a star. */
export const tensionSeats = ["tension-lower", "tension-upper", "tension-middle", "tension-outer"];
/** Springs of a yoke, on whichever side they stand. */
export const yokeSprings = ["yoke-spring-front", "yoke-spring-rear", "yoke-spring-upper", "yoke-spring-lower"];
