/** Any origin: only whether an address stays in it is asked. */
const here = "http://zorbek.invalid";

/**
 * The path of an address that leads into this very program, else "/". It is read as a browser reads it: a tab, a line end or a backslash in it counts
 * as it does there (URL standard, WHATWG), so that nothing that looks like a path leads out of the house.
 */
export function ownAddress(then: string | undefined): string {
  if (!then?.startsWith("/") || then.length > 500) return "/";
  try {
    const { origin, pathname, search } = new URL(then, here);
    // A path that begins with two strokes is a host once it stands alone.
    if (origin !== here || pathname.startsWith("//") || pathname.startsWith("/sign-in")) return "/";
    return pathname + search;
  } catch {
    return "/";
  }
}
