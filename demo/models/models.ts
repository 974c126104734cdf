import { families } from "@/core/families/families";
import type { FamilyId } from "@/core/families/family-ids";
import { type ModelDraft, modelFromTemplate } from "@/core/families/template";

export interface DemoModel extends ModelDraft {
  readonly id: string;
  readonly maker: string;
  readonly name: string;
  readonly family: FamilyId;
}

const model = (family: FamilyId, prefix: string, id: string, maker: string, name: string): DemoModel => ({
  id,
  maker,
  name,
  family,
  ...modelFromTemplate(families[family], prefix),
});

/** The invented models of the library beside the one most of the demo turns about, one of every other family. */
export const otherModels: readonly DemoModel[] = [
  model("star-drag-clutch", "SX", "skerry-40x", "Marrowby", "Skerry 40X"),
  model("lever-drag", "CN", "cairn-20", "Hallowick", "Cairn 20"),
  model("spinning", "PL", "plover-30", "Hallowick", "Plover 30"),
  model("spinning-fluid-sealed", "GD", "godwit-40f", "Hallowick", "Godwit 40F"),
  model("spinning-sealed-bail-less", "BW", "breakwater-60", "Ternmouth Tackle Works", "Breakwater 60"),
  model("baitcaster-low-profile", "RL", "rill-10", "Osier & Fenn", "Rill 10"),
  model("baitcaster-round", "WR", "weir-15", "Osier & Fenn", "Weir 15"),
  model("spincast", "PD", "puddle-5", "Osier & Fenn", "Puddle 5"),
  model("centrepin", "LN", "lantern-45", "Ternmouth Tackle Works", "Lantern 4½"),
];
