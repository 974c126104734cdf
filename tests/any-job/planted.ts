import { Refusal } from "@/data/database/context";
import type { Bench, Press } from "./job";
import type { Broken } from "./run";

const sql = (bench: Bench, text: string, ...values: unknown[]) => bench.shop.db.prepare(text).run(...values);
/** After an act that was done. */
const after =
  (act: string, damage: (bench: Bench, input: Record<string, never>) => void): Broken =>
  (press, refused, bench) => {
    if (press[0] === act && !refused) damage(bench, press[1] as Record<string, never>);
    return refused;
  };
/** An act that is refused though it was offered. */
const refuses =
  (act: string): Broken =>
  (press, refused) =>
    press[0] === act ? new Refusal("planted", "Not now.") : refused;
const extra = (words: string) =>
  after("take-parts", (bench) =>
    sql(bench, "INSERT INTO extra_piece (job_id, words, state, at) VALUES (?, ?, 'back', '')", bench.jobId, words),
  );

/** Faults of a program, each planted on purpose: some law finds it. */
export const planted: Readonly<Record<string, Broken>> = {
  "a bin loses a second piece": after("take-parts", (bench) => sql(bench, "UPDATE stock SET count = count - 1 WHERE count > 0")),
  "a bin gains a piece that nobody laid in": after("take-parts", (bench) => sql(bench, "UPDATE stock SET count = count + 1")),
  "a new piece that left no bin": after("take-parts", (bench) =>
    sql(
      bench,
      "INSERT INTO instance (reel_id, position_id, part_type_id, origin, fitted_job_id, removed_job_id) SELECT reel_id, 'x', part_type_id, 'stock', 1, 1 FROM instance LIMIT 1",
    ),
  ),
  "an undo of taking leaves what was told of the part": after("put-back", (bench) =>
    sql(
      bench,
      "INSERT OR IGNORE INTO seat_outcome (job_id, position_id, clean, at, person_id) VALUES (?, 'left', 'stained', '', 1)",
      bench.jobId,
    ),
  ),
  "an undo of a step leaves the step done": after("step-undone", (bench, { operationId }) =>
    sql(
      bench,
      "INSERT OR IGNORE INTO build_step (job_id, operation_id, state, at, person_id, act) VALUES (?, ?, 'done', '', 1, ?)",
      bench.jobId,
      operationId,
      operationId,
    ),
  ),
  "what is left in stays so when it is taken back": after("leave-in", (bench, { stays, positionIds }) => {
    if (!stays)
      sql(
        bench,
        "INSERT OR IGNORE INTO seat_in_place (job_id, position_id, reason, at) VALUES (?, ?, '', '')",
        bench.jobId,
        (positionIds as unknown as string[])[0],
      );
  }),
  "a refused press writes all the same": (_, refused, bench) => {
    if (refused) sql(bench, "INSERT INTO job_line (job_id, words, price_minor, at) VALUES (?, 'Postage', 100, '')", bench.jobId);
    return refused;
  },
  "Strip offers what it refuses": refuses("take-parts"),
  "Build offers what it refuses": refuses("steps-done"),
  "Clean offers what it refuses": refuses("all-cleaned-by-hand"),
  "Test offers what it refuses": refuses("tests-all-good"),
  "a reel that nothing keeps is not let go": refuses("ready"),
  "what came with a reel cannot be ticked": refuses("tick"),
  "it goes home with a piece in the tray": after("close", (bench) =>
    sql(bench, "INSERT INTO extra_piece (job_id, words, state, at) VALUES (?, 'a shim', 'off', '')", bench.jobId),
  ),
  "a reel taken apart hangs ready": after("take-parts", (bench) =>
    sql(bench, "UPDATE job SET station = 'return' WHERE id = ?", bench.jobId),
  ),
  "a word that is none reaches the report": extra("a shim undefined"),
  "a part is named that only other reels have": extra("the pick-up pin, the drum screw"),
  "the journal has an entry that cannot be read": after("tests-all-good", (bench) =>
    sql(bench, "INSERT INTO journal (at, person_id, action, job_id, detail) VALUES ('', 1, 'station-reached', ?, '{}')", bench.jobId),
  ),
  "more is billed than was agreed": after("close", (bench) => sql(bench, "UPDATE job SET limit_minor = 1 WHERE id = ?", bench.jobId)),
  "it went home before it came": after("close", (bench) =>
    sql(bench, "UPDATE job SET closed_at = '2020-01-01T00:00:00.000Z' WHERE id = ?", bench.jobId),
  ),
  "a line of no job": after("take-parts", (bench) => {
    bench.shop.db.pragma("foreign_keys = OFF");
    sql(bench, "INSERT INTO job_line (job_id, words, price_minor, at) VALUES (9999, 'Postage', 100, '')");
  }),
  "an act fails": (press: Press, refused) => {
    if (press[0] === "note-well" && !refused) throw new Error("planted");
    return refused;
  },
};
