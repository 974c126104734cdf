"use client";
import type { Action } from "@/ui/act/press";
import { PickCustomer } from "./pick-customer";

/** A reel that was sold or given away: its history stays with it. */
export function OwnerForm({ reelId, give }: { reelId: number; give: Action<void> }) {
  return (
    <PickCustomer
      title="It has another owner now"
      label="New owner"
      words="Change the owner"
      field="ownerId"
      also={{ reelId }}
      act={give}
    />
  );
}
