/**
 * Builds reels in which every three choices of a skeleton stand together: each in the order Zorbek gives, full and quick, and in 300 orders that the
 * laws of the hand allow. @see tests/hand-laws.ts. Usage: npm run every-reel [-- FAMILY]
 */
import { anyOrders } from "#tests/any-order";
import { coveringTriples } from "#tests/covering-array";
import { givenOrder } from "#tests/given-order";
import { stream } from "#tests/random-stream";
import { everyFrame, familyWith } from "@/core/families/families";
import { reachOf } from "@/core/teardown/reach";
import { familyIds } from "@/core/vocabulary/families";

const [only] = process.argv.slice(2);
let [reels, orders, alarms] = [0, 0, 0];
for (const family of familyIds) {
  if (only && only !== family) continue;
  for (const { variants, frames, chosen } of everyFrame(family)) {
    const answers = variants.map(({ id, choices }) => (id === frames?.id ? [chosen[id]!] : choices.map((choice) => choice.id)));
    const rows = coveringTriples(answers);
    const random = stream(20261201);
    const said = new Set<string>();
    for (const row of rows) {
      const reel = familyWith(family, Object.fromEntries(variants.map(({ id }, at) => [id, row[at]!])));
      const quick = new Set(reel.anatomy.assemblies.filter((assembly) => assembly.quick).map(({ id }) => id));
      const depths = [
        new Set(reel.anatomy.positions.map(({ id }) => id)),
        reachOf(
          reel.anatomy,
          reel.anatomy.positions.filter(({ assemblyId }) => quick.has(assemblyId)).map(({ id }) => id),
        ),
      ];
      for (const off of depths) for (const alarm of givenOrder(reel.anatomy, reel.parts, off).alarms) said.add(alarm);
      for (const alarm of anyOrders(reel, 300, random).found) said.add(alarm.replace(/^\d+: /, ""));
      reels++;
      orders += 302;
    }
    const frame = frames ? `, ${chosen[frames.id]}` : "";
    process.stdout.write(`${family}${frame}: ${rows.length} reels, ${said.size} alarms\n`);
    for (const alarm of said) process.stdout.write(`  ${alarm}\n`);
    alarms += said.size;
  }
}
process.stdout.write(`${reels} reels, ${orders} orders, ${alarms} alarms\n`);
process.exitCode = alarms ? 1 : 0;
