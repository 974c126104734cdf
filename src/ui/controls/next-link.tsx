"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { useShortcut } from "@/ui/keys/keys";

/** The main act where the next thing is another sheet. */
export function NextLink({ href, words }: { href: string; words: string }) {
  const router = useRouter();
  useShortcut(" ", words, "This page", () => router.push(href));
  return (
    <Link href={href} className="key key-main">
      {words}
      <span className="cap" aria-hidden="true">
        space
      </span>
    </Link>
  );
}
