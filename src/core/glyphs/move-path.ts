/**
 * Moves an SVG path by (dx, dy). Absolute commands M, L, C, S, A, H and V are moved, small letters are relative and stay; that is all the
 * glyphs use. @throws Error on any other absolute command, so that a new one is not moved wrongly in silence.
 */
export function movePath(d: string, dx: number, dy: number): string {
  const round = (value: number) => String(Math.round(value * 100) / 100);
  return d.replace(/([A-Za-z])([^A-Za-z]*)/g, (_, command: string, rest: string) => {
    if (command === command.toLowerCase() || command === "Z") return command + rest;
    const n = (rest.match(/-?\d*\.?\d+(?:e-?\d+)?/gi) ?? []).map(Number);
    switch (command) {
      case "M":
      case "L":
      case "C":
      case "S":
        return command + n.map((value, i) => round(value + (i % 2 ? dy : dx))).join(" ");
      case "A":
        return command + n.map((value, i) => (i % 7 === 5 ? round(value + dx) : i % 7 === 6 ? round(value + dy) : String(value))).join(" ");
      case "H":
        return command + n.map((value) => round(value + dx)).join(" ");
      case "V":
        return command + n.map((value) => round(value + dy)).join(" ");
      default:
        throw new Error(`movePath: ${command} is not a command the glyphs use`);
    }
  });
}
