import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ownAddress } from "./own-address";

const shop = "https://192.168.1.5:4443";
/** Where a browser goes from a page of the shop. */
const leadsTo = (address: string) => new URL(address, `${shop}/sign-in`).origin;

describe("the way back after sign-in", () => {
  it.each(["/bench/Z-00007-6/strip?open=x", "/", "/stores", "/ledger?customer=3", "/a%2F%2Fb"])("%s is kept", (address) => {
    expect(ownAddress(address)).toBe(address);
  });

  it.each([
    "//evil.example",
    "/\\evil.example",
    "\\\\evil.example",
    "/\t/evil.example",
    "/\n/evil.example",
    "/\r//evil.example",
    "https://evil.example",
    "javascript:alert(1)",
    " //evil.example",
    "\t//evil.example",
    "/./\\/evil.example",
    "/.//evil.example",
    "/x/..//evil.example",
    "/sign-in?then=/",
    "",
    undefined,
  ])("%j leads to the rack", (address) => {
    expect(ownAddress(address)).toBe("/");
  });

  it("never leads out of the house, whatever stands in it", () => {
    const signs = fc.constantFrom(
      "/",
      "\\",
      "\t",
      "\n",
      "\r",
      ".",
      ":",
      "@",
      "?",
      "#",
      "%2f",
      "%5c",
      "evil.example",
      "http",
      "a",
      " ",
      "\u0000",
      "[",
      "]",
      "&",
    );
    fc.assert(
      fc.property(fc.array(signs, { maxLength: 12 }), fc.string(), (parts, rest) => {
        for (const text of [`/${parts.join("")}`, parts.join(""), rest, `/${rest}`]) {
          const own = ownAddress(text);
          expect(leadsTo(own), JSON.stringify(text)).toBe(shop);
          expect(own.startsWith("/") && !own.startsWith("//")).toBe(true);
        }
      }),
      { numRuns: 3000 },
    );
  });
});
