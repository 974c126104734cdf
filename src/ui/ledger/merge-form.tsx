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
      title={`${name} is on record twice`}
      label="Keep this record"
      words="Merge"
      note="Reels, jobs and lots move to the record you keep; this one is retired. This cannot be undone."
      field="into"
      also={{ id }}
      after={(into) => router.push(`/ledger?customer=${into}`)}
    />
  );
}
