import type { PieceSource } from "./piece-sources";

/**
 * Where a refusal can be put right, when that is not at the field itself. The interface turns it into one press; the words of the refusal name
 * the place as well.
 */
export type WayOut =
  /** A station of a job: `clean` of T-0042. */
  | { readonly to: "station"; readonly tag: string; readonly station: string }
  /** Quote, with a part that is not in it yet: it is added there, and then asked for. */
  | {
      readonly to: "ask-for";
      readonly tag: string;
      readonly positionId: string;
      /** A piece with a price of its own: a donor's, or one from elsewhere. */
      readonly piece?: { readonly source: PieceSource | "donor"; readonly priceMinor: number };
    }
  /** Build, with the offer to open it again down to a step that is done. */
  | { readonly to: "open-again"; readonly tag: string; readonly operationId: string }
  /** A catalogue entry, at what is missing there: who sells it, its bin, or its own facts. */
  | { readonly to: "part"; readonly partTypeId: string; readonly at: "offers" | "bin" | "facts" }
  /** A new catalogue entry, under the number that was not found. */
  | { readonly to: "new-part"; readonly number: string }
  | { readonly to: "suppliers" }
  | { readonly to: "bins"; readonly partTypeId: string }
  | { readonly to: "customer"; readonly customerId: number }
  | { readonly to: "new-model" }
  | { readonly to: "reel"; readonly reelId: number }
  | { readonly to: "people" }
  | { readonly to: "sign-in" }
  | { readonly to: "rack" }
  | { readonly to: "counter" }
  | { readonly to: "model"; readonly modelId: string; readonly page: "" | "playbook" };
