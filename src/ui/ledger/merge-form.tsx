"use client";
import { useRouter } from "next/navigation";
import { PickCustomer } from "./pick-customer";

interface Props {
  readonly id: number;
  readonly name: string;
}

/** Two cards of one person: this one goes into another. */
export function MergeForm({ id, name }: Props) {
  const router = useRouter();
  return (
    <PickCustomer
      act="merge-customers"
      title={`${name} stands in the book twice`}
      label="The card that stays"
      words="Make one card"
      note="Reels, jobs and lots go to the card that stays; this one is retired. It cannot be taken apart again."
      field="into"
      also={{ id }}
      after={(into) => router.push(`/ledger?customer=${into}`)}
    />
  );
}
