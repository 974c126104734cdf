import type { AnatomyChange } from "./compare-anatomies";

/** What is said of a field that differs; those that nobody reads at the bench are left out. */
const fieldWords: Readonly<Record<string, string>> = {
  trap: "what goes wrong there",
  caution: "a caution",
  setFirst: "what is set before it comes off",
  orientation: "which way round it lies",
  lubricant: "what goes on it",
  tightness: "how tight",
  hole: "its hole",
  partTypeId: "which part it is",
  restsOn: "what it rests on",
  heldBy: "what holds it",
  ridesOn: "what it rides on",
  after: "when it is done",
  lookAt: "what is looked at",
  words: "its words",
  name: "its name",
  shape: "its size",
  material: "what it is made of",
};

const what = { added: "new", removed: "no longer there", changed: "changed" } as const;

/** A change of a model in a few words, for whoever has one of its reels open. */
export function changeWords({ what: how, name, fields }: AnatomyChange): string {
  const said = fields.flatMap((field) => fieldWords[field] ?? []);
  return `${name}: ${what[how]}${how === "changed" && said.length ? `, ${said.join(", ")}` : ""}`;
}
