import { expect, it } from "vitest";
import { everyBuild, familyWith } from "@/core/families/families";
import { type FamilyId, familyIds } from "@/core/vocabulary/families";
import { carriesLoad } from "./carries-load";

type Row = readonly [FamilyId, carries: string, mayStayOff: string, built?: Readonly<Record<string, string>>];

// Common practice: what a reel never goes out without, and what may stay off if it is said.
const rows: readonly Row[] = [
  [
    "star-drag-bridge",
    "head-screw-top head-screw-foot-front bridge-screw-low-front lock-screw dog dog-spring handle-spacer keyed-low eared",
    "click-tongue click-spring click-button",
  ],
  ["star-drag-bridge", "", "trim-ring locating-pin", { plates: "trim" }],
  ["star-drag-clutch", "retainer-screw-front shaft-end-screw foot-screw-front lock-screw", "dust-cover click-tongue"],
  ["lever-drag", "foot-nut-front foot-nut-rear drag-cap cross-pin nut-keeper plate-screw-top", "click-washer click-tongue"],
  ["spincast", "copper-lower spring-washer keyed spool-clip cone-nut hinge-screw", "handle-cap click-tongue"],
  ["centrepin", "inner-sleeve wave-spring rear-clip front-clip drum-screw", "check-pawl check-spring"],
  ["spinning", "roller-screw bail-screw arm-screw rotor-nut nut-screw drag-clip", "weight-cover line-clip click-tongue"],
  ["spinning", "ramp-screw-front", "boot", { neck: "ramp" }],
  [
    "baitcaster-low-profile",
    "nut-keeper keeper-screw gear-screw-top worm-clip pawl-cap plate-keeper handle-spacer",
    "brake-block-a star-click",
  ],
];

it.each(rows.map(([family, carries, mayStayOff, built = {}]) => ({ family, carries, mayStayOff, built })))(
  "$family: $carries carry load, $mayStayOff may stay off",
  ({ family, carries, mayStayOff, built }) => {
    const { anatomy, parts } = familyWith(family, built);
    const role = (seat: string) => {
      const position = anatomy.positions.find(({ id }) => id === seat);
      if (!position) throw new Error(`no seat ${seat}`);
      return parts.find(({ id }) => id === position.partTypeId)!.role;
    };
    for (const seat of carries.split(" ").filter(Boolean)) expect(carriesLoad(role(seat)), seat).toBe(true);
    for (const seat of mayStayOff.split(" ").filter(Boolean)) expect(carriesLoad(role(seat)), seat).toBe(false);
  },
);

it("names only roles that some reel has", () => {
  const roles = new Set(
    familyIds.flatMap((family) => everyBuild(family).flatMap(({ template }) => template.parts.map(({ role }) => role))),
  );
  const never = ["no-such-role", ""];
  for (const role of never) expect(carriesLoad(role)).toBe(false);
  expect([...roles].filter(carriesLoad).length).toBeGreaterThan(45);
});
