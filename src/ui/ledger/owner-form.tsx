"use client";
import { PickCustomer } from "./pick-customer";

/** A reel that was sold or given away: its history stays with it. */
export function OwnerForm({ reelId }: { reelId: number }) {
  return (
    <PickCustomer
      title="It has another owner now"
      label="New owner"
      words="Change the owner"
      field="ownerId"
      act="change-owner"
      also={{ reelId }}
    />
  );
}
