"use client";
import Link from "next/link";
import { useParams, useRouter } from "next/navigation";
import { leadOf } from "@/core/vocabulary/refusal-leads";
import type { WayOut } from "@/core/vocabulary/way-out";
import { wayLink } from "./way-link";

/** The one press from a refusal to where it is put right: the place it names, else what its code says. Nothing where the page itself is the place. */
export function LeadsTo({ way, code }: { way: WayOut | null | undefined; code: string | null | undefined }) {
  const router = useRouter();
  const { tag } = useParams<{ tag?: string }>();
  const lead = way || !code ? null : leadOf(code);
  if (lead?.to === "show-anew")
    return (
      <button type="button" className="act-link ml-2" onClick={() => router.refresh()}>
        Show the current state
      </button>
    );
  const out = way ? wayLink(way) : lead?.to === "station" && tag ? wayLink({ to: "station", tag, station: lead.station }) : null;
  if (!out) return null;
  return (
    <Link className="act-link ml-2" href={out.href}>
      {out.words}
    </Link>
  );
}
