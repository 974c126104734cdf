"use client";
import Link from "next/link";
import { usePathname, useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { useShortcut } from "@/ui/keys/keys";
import { Finder } from "./finder";
import { KeyList } from "./key-list";
import { rooms } from "./rooms";
import { ScanTag } from "./scan-tag";

/** The rule along the top of the bench: a room at each long stroke, the one you are in carries the pointer. */
export function Rail({ person }: { person: string }) {
  const path = usePathname();
  return (
    <nav aria-label="Rooms" className="flex h-14 items-end overflow-x-auto border-b-2 border-ink px-4">
      {rooms.map((room) => (
        <RoomLink key={room.href} room={room} here={room.href === "/" ? path === "/" : path.startsWith(room.href)} />
      ))}
      <div className="sticky -right-4 -mr-4 ml-auto flex h-full items-center gap-4 bg-bench pr-4 pl-3 text-note max-md:gap-1 md:pl-6">
        <Finder />
        <ScanTag />
        <span className="max-md:hidden">
          <KeyList />
        </span>
        <Link href="/shop" className="underline underline-offset-2 max-md:hidden" aria-label={`At the bench: ${person}. Change at Shop.`}>
          {person}
        </Link>
      </div>
    </nav>
  );
}

function RoomLink({ room, here }: { room: (typeof rooms)[number]; here: boolean }) {
  const router = useRouter();
  useShortcut(room.key, `Go to ${room.name}`, "Rooms", () => router.push(room.href));
  const link = useRef<HTMLAnchorElement>(null);
  // On a narrow screen the rail stands at its room.
  useEffect(() => {
    const rail = link.current?.parentElement;
    if (here && rail) rail.scrollLeft = link.current!.offsetLeft - 16;
  }, [here]);
  return (
    <Link
      ref={link}
      href={room.href}
      aria-current={here ? "page" : undefined}
      className="relative flex h-full items-center gap-2 pr-8 pb-1"
    >
      <svg aria-hidden="true" className="absolute bottom-0 left-0 h-4 w-full overflow-visible" preserveAspectRatio="none">
        <path d="M1 16V2" className="ln-outline" />
        <path d="M18 16v-5M35 16v-5M52 16v-5M69 16v-5" className="ln-leader" />
        {here && <path d="M1 2l7 14h-14z" className="fl-ink" />}
      </svg>
      <span className={`pl-3 ${here ? "text-head font-semibold" : "text-text"}`}>{room.name}</span>
      <span className="cap" aria-hidden="true">
        {room.key.toUpperCase()}
      </span>
    </Link>
  );
}
