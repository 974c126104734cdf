/** An address as it is printed, a line each: people write "3 Rope Walk, Saltmere". */
export const addressLines = (address: string): string[] =>
  address
    .split(/[,\n]/)
    .map((line) => line.trim())
    .filter(Boolean);
