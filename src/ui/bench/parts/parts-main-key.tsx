import type { PartsKey } from "@/core/interchange/parts-now";
import { MainKey } from "@/ui/controls/keys";
import { NextLink } from "@/ui/controls/next-link";

interface Props {
  readonly now: Exclude<PartsKey, { what: "on" }>;
  readonly tag: string;
  readonly nameOf: (positionId: string) => string;
  readonly busy: boolean;
  readonly onFit: (positionIds: readonly string[]) => void;
  readonly onOrder: (positionIds: readonly string[]) => void;
  readonly onElsewhere: (positionId: string) => void;
}

/** What comes next for the new pieces of a job, on the main key. */
export function PartsMainKey({ now, tag, nameOf, busy, onFit, onOrder, onElsewhere }: Props) {
  switch (now.what) {
    case "fit":
      return (
        <MainKey busy={busy} words="Fit what is here" onPress={() => onFit(now.positionIds)}>
          {now.positionIds.length === 1
            ? `Fit the new ${nameOf(now.positionIds[0]!).toLowerCase()}`
            : `Fit the ${now.positionIds.length} that are here`}
        </MainKey>
      );
    case "order":
      return (
        <MainKey busy={busy} words="Order what is short" onPress={() => onOrder(now.positionIds)}>
          {now.positionIds.length === 1
            ? `Order the ${nameOf(now.positionIds[0]!).toLowerCase()}`
            : `Order the ${now.positionIds.length} that are short`}
        </MainKey>
      );
    case "elsewhere":
      return (
        <MainKey words="A piece from elsewhere" onPress={() => onElsewhere(now.positionId)}>
          {nameOf(now.positionId)} from elsewhere
        </MainKey>
      );
    case "ask-first":
      return <NextLink href={`/bench/${tag}/quote`} words="Ask first: Quote" />;
    case "wait":
      return <NextLink href="/" words={now.count === 1 ? "1 part to come: to the Rack" : `${now.count} parts to come: to the Rack`} />;
  }
}
