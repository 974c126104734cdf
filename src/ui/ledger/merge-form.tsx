"use client";
import { useRouter } from "next/navigation";
import type { Action } from "@/ui/act/press";
import { PickCustomer } from "./pick-customer";

interface Props {
  readonly id: number;
  readonly name: string;
  readonly merge: Action<void>;
}

/** Two cards of one person: this one goes into another. */
export function MergeForm({ id, name, merge }: Props) {
  const router = useRouter();
  return (
    <PickCustomer
      title={`${name} stands in the book twice`}
      label="The card that stays"
      words="Make one card"
      note="Reels, jobs and lots go to the card that stays; this one is retired. It cannot be taken apart again."
      field="into"
      also={{ id }}
      act={merge}
      after={(into) => router.push(`/ledger?customer=${into}`)}
    />
  );
}
