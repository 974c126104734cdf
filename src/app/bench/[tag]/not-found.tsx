import Link from "next/link";
import { Sheet } from "@/ui/sheets/sheet";

export default function UnknownTag() {
  return (
    <Sheet>
      <h1>No reel in the shop has that tag</h1>
      <p className="mt-2">Read the tag again: one digit may be wrong. Or look for the owner or the serial.</p>
      <p className="mt-4 flex gap-4">
        <Link className="key" href="/">
          Go to the Rack
        </Link>
        <Link className="key" href="/bench">
          Type another tag
        </Link>
      </p>
    </Sheet>
  );
}
