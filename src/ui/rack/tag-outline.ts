import type { WhoseMove } from "@/core/schedule/whose-move";

const corner = 18;

/** The outline of a tag: the corner that is cut says whose move it is, so colour is never needed. */
export function tagOutline(move: WhoseMove, width: number, height: number): string {
  const c = corner;
  const cut = { ours: 0, customer: 1, supplier: 2, shelf: 3 }[move];
  const points: [number, number][] = [];
  if (cut === 0) points.push([0, c], [c, 0]);
  else points.push([0, 0]);
  if (cut === 1) points.push([width - c, 0], [width, c]);
  else points.push([width, 0]);
  if (cut === 2) points.push([width, height - c], [width - c, height]);
  else points.push([width, height]);
  if (cut === 3) points.push([c, height], [0, height - c]);
  else points.push([0, height]);
  return `M${points.map(([x, y]) => `${x} ${y}`).join("L")}Z`;
}
