import { z } from "zod";
import type { SerialRule } from "@/core/anatomy/serial";
import type { InterchangeSet } from "@/core/interchange/interchange";
import type { OrderRules } from "@/core/ordering/rules";

/**
 * What a form was shown of a row, written so that it comes back with what was typed: who saves over something changed since is told, and
 * nothing typed is lost. Each form names here what it carries; what it does not carry may change under it.
 */
export const seenSchema = z.string().max(40_000);

const of = (shown: unknown): string => JSON.stringify(shown ?? null);

export const seenBin = (line: { bin: string; minimum: number } | null): string => of(line && [line.bin, line.minimum]);
export const seenPerson = ({ name, role }: { name: string; role: string }): string => of([name, role]);
/** @param minutes Monday first. */
export const seenWeek = (minutes: readonly number[]): string => of(minutes);
export const seenOffer = (
  offer: { priceMinor: number; pack: number; breaks: readonly { fromPacks: number; priceMinor: number }[] } | null,
): string => of(offer && [offer.priceMinor, offer.pack, offer.breaks.map(({ fromPacks, priceMinor }) => [fromPacks, priceMinor])]);
/** A record's fields in one order, those without a value left out. */
const fields = (record: object) =>
  of(
    Object.entries(record)
      .filter(([, value]) => value !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );
export const seenOrderRules = (rules: OrderRules): string => fields(rules);
/** In whatever order they are tried. */
export const seenSerialRules = (rules: readonly (SerialRule & { readonly modelId: string | null })[]): string =>
  of(rules.map(fields).sort());
export const seenSet = (set: InterchangeSet | null): string =>
  of(set && [set.name, set.mark, set.roles, set.members.map((one) => [one.modelId, one.partTypeId, one.grade, one.note]), set.exclusions]);
/** A figure or a few words that stand alone. */
export const seenValue = (value: number | string | null): string => of(value);
