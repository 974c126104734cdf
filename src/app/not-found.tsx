import Link from "next/link";
import { Sheet } from "@/ui/sheets/sheet";

export default function NotFound() {
  return (
    <Sheet>
      <h1>Page not found</h1>
      <p className="mt-2">
        The link may be old. Press <span className="cap">/</span> to find a tag, serial, owner, model or part.
      </p>
      <p className="mt-4">
        <Link className="key" href="/">
          Go to the Rack
        </Link>
      </p>
    </Sheet>
  );
}
