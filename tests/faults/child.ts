/** One press in a bare process, which kills itself at a statement of it. It says how many there were, where it lived. */
import { actOf } from "@/app/acts/registry";
import { openDatabase } from "@/data/database/database";
import { pressOnce } from "@/data/database/press";
import { ensureFirstPerson } from "@/data/shop/people";
import type { Killed } from "./kill";

const { directory, press, now, killAt } = JSON.parse(process.argv[2]!) as Killed;
let statements = -1;
const db = openDatabase(directory, undefined, () => {
  if (statements >= 0 && ++statements === killAt) process.kill(process.pid, "SIGKILL");
});
const person = ensureFirstPerson(db);
const [name, input] = press;
const { act, run } = actOf(name)!;
const told = act.input.parse(input) as never;
process.stdout.write("now\n");
statements = 0;
pressOnce({ db, person, now }, { id: "press-to-be-killed", action: name }, () => run.run({ db, person, now }, told));
// What comes after the commit is one more place to die at.
if (++statements === killAt) process.kill(process.pid, "SIGKILL");
process.stdout.write(`${statements}\n`);
