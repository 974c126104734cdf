"use client";
import { PickCustomer } from "./pick-customer";

/** A reel that was sold or given away: its history stays with it. */
export function OwnerForm({ reelId }: { reelId: number }) {
  return (
    <PickCustomer title="Change of owner" label="New owner" words="Change the owner" field="ownerId" act="change-owner" also={{ reelId }} />
  );
}
