/**
 * Parts that carry load, by role: a reel does not go out without one of them but on its owner's word. What is not named may stay off and is said.
 * Source: common practice; makers stand above.
 */
const bearing: ReadonlySet<string> = new Set([
  // What holds plates, foot and frame together. One plate screw held by its neighbours may stay off a lever drag; here each is asked about.
  "foot-screw",
  "foot-nut",
  "bar-screw",
  "plate-screw",
  "side-screw",
  "cover-screw",
  "hinge-screw",
  "bridge-screw",
  "retainer-screw",
  "shaft-end-screw",
  "end-cover-screw",
  "quadrant-screw",
  "ramp-screw",
  "clutch-screw",
  "block-screw",
  "dog-screw",
  "cone-nut",
  "drum-screw",
  "drum-latch",
  "knurled-ring",
  // What keeps the handle and the rotor on.
  "handle-nut",
  "handle-screw",
  "lock-screw",
  "nut-keeper",
  "keeper-screw",
  "handle-spacer",
  "rotor-nut",
  "nut-screw",
  "lock-plate",
  "rotor-screw",
  "rotor-collar",
  // The drag.
  "keyed-washer",
  "eared-washer",
  "copper-washer",
  "tension-washer",
  "drag-cap",
  "drag-clip",
  "cross-pin",
  "preload-spring",
  "pressure-plate",
  "drag-nut",
  // What holds the reel from turning back.
  "dog",
  "dog-spring",
  "dog-coil",
  "ratchet",
  "roller-clutch",
  "clutch-sleeve",
  "anti-reverse-spring",
  // Bail, roller, worm and hub.
  "roller-screw",
  "bail-screw",
  "trip-screw",
  "clip",
  "pawl-cap",
  "hub-sleeve",
  "wave-spring",
]);

export const carriesLoad = (role: string): boolean => bearing.has(role);
