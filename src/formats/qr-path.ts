import QRCode from "qrcode";

/** A QR code (ISO/IEC 18004, medium correction) as the path of an SVG: one unit a module, the quiet zone of four around it. First its side. */
export function qrPath(text: string): string {
  const { modules } = QRCode.create(text, { errorCorrectionLevel: "M" });
  const dark: string[] = [];
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++) if (modules.get(row, column)) dark.push(`M${column + 4} ${row + 4}h1v1h-1z`);
  return `${modules.size + 8} ${dark.join("")}`;
}
