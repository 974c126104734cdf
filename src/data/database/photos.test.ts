import { mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { afterAll, describe, expect, it } from "vitest";
import { openWorkshop } from "#tests/workshop";
import { drawingLimits, keepPhoto, photoLimits, readPhoto, washPhoto, washSchematic } from "./photos";

const folder = mkdtempSync(join(tmpdir(), "zorbek-photos-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const picture = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: "#888" } });
const refused = (bytes: Buffer) =>
  washPhoto(bytes).then(
    () => "kept",
    (error: { code?: string }) => error.code,
  );

describe("a drawing that takes too much", () => {
  const drawing = (n: number) =>
    Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><path d="M0 0h${n}v9z"/></svg>`);
  /** One that keeps a reader busy for seconds on any machine: dashes along curves that run over each other. */
  const slow = (n: number) => {
    const path = `<path d="M0 ${n}${"c9 99 999 9 1500 1100s-900 -90 -1500 -1100".repeat(400)}" fill="none" stroke="black" stroke-dasharray="1 1"/>`;
    return Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="1600" height="1200">${path.repeat(20)}</svg>`);
  };
  /** Processes that read a drawing now, the workers' own children among them. */
  const workers = () =>
    readdirSync("/proc")
      .filter((pid) => /^\d+$/.test(pid))
      .filter((pid) => {
        try {
          return readFileSync(`/proc/${pid}/cmdline`, "utf8").includes("wash-drawing");
        } catch {
          return false;
        }
      }).length;

  it.each([
    ["time", drawing(1), { seconds: 0.01, memoryKb: drawingLimits.memoryKb }],
    ["time, in the middle of it", slow(2), { seconds: 0.4, memoryKb: drawingLimits.memoryKb }],
    ["memory", drawing(3), { seconds: 4, memoryKb: 30_000 }],
  ])("%s is given up, and said; nothing of it goes on", async (_, bytes, limits) => {
    await expect(washSchematic(bytes, limits)).rejects.toMatchObject({ code: "takes-too-much", field: "picture" });
    await new Promise((wait) => setTimeout(wait, 100));
    expect(workers()).toBe(0);
    // The same bytes again, with all the time there is: remembered.
    await expect(washSchematic(bytes, drawingLimits)).rejects.toMatchObject({ code: "takes-too-much" });
  });

  it("is read one at a time, and a crowd is sent away", async () => {
    const most: number[] = [];
    const look = setInterval(() => most.push(workers()), 30);
    const all = await Promise.allSettled([11, 12, 13, 14, 15, 16].map((n) => washSchematic(drawing(n))));
    clearInterval(look);
    expect(Math.max(...most)).toBe(1);
    expect(all.map((one) => (one.status === "fulfilled" ? "kept" : (one.reason as { code: string }).code))).toEqual([
      "kept",
      "kept",
      "kept",
      "busy",
      "busy",
      "busy",
    ]);
    // Sent away is not refused: in a quiet moment it goes.
    await washSchematic(drawing(14));
  });
});

describe("pictures", () => {
  it("are turned upright, made smaller and stripped of where they were taken", async () => {
    const bytes = await picture(3000, 1000)
      .jpeg()
      .withExif({ IFD0: { Copyright: "secret place" }, IFD3: { GPSLatitude: "51/1 30/1 0/1" } })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const washed = await washPhoto(bytes);
    expect([washed.width, washed.height]).toEqual([533, 1600]); // orientation 6: stood on its side
    const metadata = await sharp(washed.jpeg).metadata();
    expect([metadata.format, metadata.exif, metadata.orientation]).toEqual(["jpeg", undefined, undefined]);
  });

  it("are refused with a reason when they are none, of another kind, too large or a bomb", async () => {
    expect(await refused(Buffer.from("<script>alert(1)</script>"))).toBe("not-a-picture");
    expect(await refused(Buffer.alloc(0))).toBe("empty");
    expect(await refused(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'))).toBe("not-a-picture");
    expect(await refused(await picture(20, 20).gif().toBuffer())).toBe("not-a-picture");
    expect(await refused(Buffer.alloc(photoLimits.bytes + 1))).toBe("too-large");
    // 100 million grey pixels in a few kilobytes.
    const bomb = await sharp({ create: { width: 10_000, height: 10_000, channels: 3, background: "#000" } })
      .png({ compressionLevel: 9 })
      .toBuffer();
    expect(bomb.length).toBeLessThan(photoLimits.bytes);
    expect(await refused(bomb)).toBe("too-many-pixels");
    const whole = await picture(300, 300).jpeg().toBuffer();
    expect(await refused(whole.subarray(0, whole.length / 2))).toBe("not-a-picture");
  });

  it("are kept once under their hash, leave no temporary file, and are read back only by it", async () => {
    const { ctx, db } = openWorkshop();
    const washed = await washPhoto(await picture(40, 30).png().toBuffer());
    const hash = keepPhoto(ctx, washed, folder);
    expect(keepPhoto(ctx, washed, folder)).toBe(hash);
    expect(readdirSync(join(folder, "photos"))).toEqual([`${hash}.jpg`]);
    expect(readPhoto(db, hash, folder)?.equals(washed.jpeg)).toBe(true);
    for (const other of ["../zorbek.db", "0".repeat(64), `${hash}/../x`]) expect(readPhoto(db, other, folder), other).toBeNull();
  });
});

describe("schematics brought in as SVG", () => {
  const svg = (inside: string, head = "") =>
    Buffer.from(
      `${head}<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="200" height="100">${inside}<rect x="20" y="20" width="60" height="60" fill="#000"/></svg>`,
    );

  it("are kept as their drawing alone, and say what was left out", async () => {
    const washed = await washSchematic(
      svg(
        '<script>alert(1)</script><image xlink:href="http://evil.example/a.png" width="9" height="9"/><rect onclick="x()" width="1" height="1"/>',
      ),
    );
    expect(washed.cleaned).toEqual(["script", "event handlers", "references to other places"]);
    expect(washed.jpeg.subarray(0, 3)).toEqual(Buffer.from([0xff, 0xd8, 0xff])); // a JPEG (ISO/IEC 10918-1 start marker), nothing else
    expect(washed.jpeg.includes("script")).toBe(false);
    const { data, info } = await sharp(washed.jpeg).raw().toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) =>
      data[(Math.round((y / 100) * info.height) * info.width + Math.round((x / 200) * info.width)) * info.channels]!;
    expect(at(50, 50)).toBeLessThan(40); // the black square is there
    expect(at(150, 50)).toBeGreaterThan(200);
  });

  it("say nothing when there was nothing to leave out", async () => {
    expect((await washSchematic(svg(""))).cleaned).toEqual([]);
  });

  it("are refused when they declare entities, are too large or no drawing", async () => {
    const code = (bytes: Buffer) =>
      washSchematic(bytes).then(
        () => "kept",
        (error: { code?: string }) => error.code,
      );
    expect(await code(svg("&a;", '<!DOCTYPE svg [<!ENTITY a "aaaa">]>'))).toBe("entities");
    expect(await code(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="90000" height="90000"/>'))).toMatch(
      /too-many-pixels|not-a-picture/,
    );
    expect(await code(Buffer.from("<svg><unclosed"))).toBe("not-a-picture");
  });
});
