/**
 * A line of progress for years that are filled day by day, so that a newcomer who waits sees that something happens.
 * @param first the first day, ISO. @param last the last. @param write one step more, in words.
 * @returns told of each day as it is filled: every tenth of the way is said once.
 */
export function progressOf(first: string, last: string, write: (words: string) => void): (day: string) => void {
  const [from, to] = [Date.parse(first), Date.parse(last)];
  let said = -1;
  return (day) => {
    const tenth = Math.min(10, Math.floor((10 * (Date.parse(day) - from)) / Math.max(1, to - from)));
    if (!(tenth > said)) return;
    said = tenth;
    write(`${day.slice(0, 4)}: ${tenth * 10} %`);
  };
}
