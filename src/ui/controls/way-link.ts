import type { WayOut } from "@/core/vocabulary/way-out";

/** Where a refusal is put right, as a link: what is done there, and the page with the place on it. */
export function wayLink(way: WayOut): { words: string; href: string } {
  switch (way.to) {
    case "station":
      return { words: `Go to ${way.station.charAt(0).toUpperCase()}${way.station.slice(1)}`, href: `/bench/${way.tag}/${way.station}` };
    case "ask-for":
      return {
        words: "Ask at Quote",
        href: `/bench/${way.tag}/quote?add=${encodeURIComponent(way.positionId)}${way.piece ? `&from=${way.piece.source}&price=${way.piece.priceMinor}` : ""}`,
      };
    case "open-again":
      return { words: "Open it again", href: `/bench/${way.tag}/build?open=${encodeURIComponent(way.operationId)}` };
    case "part":
      return {
        words: way.at === "offers" ? "Add an offer" : way.at === "bin" ? "Give it a bin" : "Open the part",
        href: `/library/part/${encodeURIComponent(way.partTypeId)}#${way.at}`,
      };
    case "new-part":
      return { words: "Add the part", href: `/library/new-part?number=${encodeURIComponent(way.number)}` };
    case "suppliers":
      return { words: "Open the suppliers", href: "/stores/suppliers" };
    case "bins":
      return { words: "Open the bin", href: `/stores/bins?part=${encodeURIComponent(way.partTypeId)}` };
    case "customer":
      return { words: "Open the customer", href: `/ledger?customer=${way.customerId}` };
    case "new-model":
      return { words: "Start a model", href: "/library#new-model" };
    case "reel":
      return { words: "Open the reel", href: `/ledger/reel/${way.reelId}` };
    case "people":
      return { words: "Choose the person", href: "/shop#people" };
    case "sign-in":
      return { words: "Sign in", href: "/sign-in" };
    case "counter":
      return { words: "Open the Counter", href: "/counter" };
    case "model":
      return { words: "Open the model", href: `/library/${way.modelId}${way.page && `/${way.page}`}` };
    case "rack":
      return { words: "Back to the rack", href: "/" };
  }
}
