/** What names have in common from their beginning, its fastener in the plural: "Bridge screw, low front" and "…, low rear" are "Bridge screws, low". */
export function sharedName(names: readonly string[]): string {
  const split = names.map((name) => name.split(/[\s,]+/));
  const [first = []] = split;
  const end = first.findIndex((word, i) => split.some((other) => other[i] !== word));
  const shared = first.slice(0, end < 0 ? first.length : end);
  const at = shared.findLastIndex((word) => /^(screw|nut)$/i.test(word));
  if (at < 0) return shared.length ? `${shared.join(" ")}s` : "Screws";
  const [head, tail] = [shared.slice(0, at + 1).join(" "), shared.slice(at + 1).join(" ")];
  return tail ? `${head}s, ${tail}` : `${head}s`;
}
