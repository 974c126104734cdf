import { spawn } from "node:child_process";
import { createHash, randomUUID } from "node:crypto";
import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import sharp from "sharp";
import { z } from "zod";
import { type Context, Refusal } from "./context";
import { type Db, dataDirectory } from "./database";

export const photoLimits = { bytes: 12 * 1024 * 1024, pixels: 50_000_000, keptEdgePx: 1600 } as const;

/**
 * Checks an uploaded picture and makes the one that is kept: decoded under a byte and pixel limit, turned upright, metadata stripped,
 * re-encoded. Whatever else was in the file is gone.
 * @throws Refusal for anything that is not a picture of a kept kind.
 */
export async function washPhoto(bytes: Buffer): Promise<{ jpeg: Buffer; width: number; height: number }> {
  if (bytes.length === 0) throw new Refusal("empty", "The picture is empty. Take it again.", "photo");
  if (bytes.length > photoLimits.bytes)
    throw new Refusal(
      "too-large",
      `The picture has more than ${photoLimits.bytes / 1024 / 1024} MB. Set the camera smaller and take it again.`,
      "photo",
    );
  try {
    const image = sharp(bytes, { limitInputPixels: photoLimits.pixels, failOn: "error" });
    const { format } = await image.metadata();
    if (format !== "jpeg" && format !== "png" && format !== "webp")
      throw new Refusal("not-a-picture", "Only JPEG, PNG and WebP pictures are kept. Choose another file.", "photo");
    const { data, info } = await image
      .rotate()
      .resize({ width: photoLimits.keptEdgePx, height: photoLimits.keptEdgePx, fit: "inside", withoutEnlargement: true })
      .jpeg({ quality: 82, mozjpeg: true })
      .toBuffer({ resolveWithObject: true });
    return { jpeg: data, width: info.width, height: info.height };
  } catch (error) {
    if (error instanceof Refusal) throw error;
    const tooMany = error instanceof Error && /pixel limit/i.test(error.message);
    throw new Refusal(
      tooMany ? "too-many-pixels" : "not-a-picture",
      tooMany
        ? "The picture has more than 50 million pixels. Make it smaller."
        : "This file is not a picture Zorbek can read, or it is damaged. Take it again.",
      "photo",
    );
  }
}

/** What an SVG may hold that is no drawing: each with the words said when it was left out. */
const foreignInSvg: readonly (readonly [RegExp, string])[] = [
  [/<script\b/i, "script"],
  [/\son\w+\s*=/i, "event handlers"],
  [/(?:href|src)\s*=\s*["']?\s*(?:https?:|\/\/|file:|data:text)/i, "references to other places"],
  [/url\(\s*["']?\s*(?:https?:|\/\/|file:)/i, "references to other places"],
  [/<foreignObject\b/i, "embedded pages"],
  [/@import/i, "imported styles"],
];

/** What a drawing from outside may take to be drawn: time, and memory that is written to (RLIMIT_DATA; what is only set aside does not count). */
export const drawingLimits = { seconds: 20, memoryKb: 1_500_000 } as const;

/** Drawings that wait to be read; a crowd is sent away. */
const mostWaiting = 3;
let waiting = 0;
let turn: Promise<unknown> = Promise.resolve();

/** One foreign drawing at a time: a second waits, a crowd is told to come again. @throws Refusal when too many wait. */
async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (waiting >= mostWaiting) throw new Refusal("busy", "Other drawings are being read. Send this one again in a minute.", "picture");
  waiting++;
  const mine = turn.then(work, work);
  turn = mine.catch(() => undefined);
  try {
    return await mine;
  } finally {
    waiting--;
  }
}

/** Drawings that took too much, by the hash of their bytes: the same one is not tried again. */
const refusedBefore = new Map<string, Refusal>();
const mostRemembered = 200;

/**
 * Makes the picture that is kept of a schematic, in a process of its own, one at a time: whoever made the file is not known. The process and all that
 * it began are ended when they take too long or too much. @throws Refusal as drawSchematic does, and when it took too much.
 */
export async function washSchematic(bytes: Buffer, limits: { seconds: number; memoryKb: number } = drawingLimits): Promise<Drawn> {
  if (bytes.length > photoLimits.bytes)
    throw new Refusal("too-large", `The drawing has more than ${photoLimits.bytes / 1024 / 1024} MB.`, "picture");
  const key = createHash("sha256").update(bytes).digest("hex");
  const before = refusedBefore.get(key);
  if (before) throw before;
  try {
    return await inTurn(() => drawApart(bytes, limits));
  } catch (error) {
    if (error instanceof Refusal && error.code !== "busy") {
      if (refusedBefore.size >= mostRemembered) refusedBefore.delete(refusedBefore.keys().next().value!);
      refusedBefore.set(key, error);
    }
    throw error;
  }
}

/** Ends a process with all that it began: its group is its own. */
function endGroup(pid: number | undefined): void {
  if (pid === undefined) return;
  try {
    process.kill(-pid, "SIGKILL");
  } catch {
    // It is gone.
  }
}

async function drawApart(bytes: Buffer, limits: { seconds: number; memoryKb: number }): Promise<Drawn> {
  // The shell becomes the worker itself, which loads its sources without a second process.
  const command = `ulimit -d ${limits.memoryKb}; exec "$0" --import tsx scripts/wash-drawing.ts`;
  const child = spawn("/bin/sh", ["-c", command, process.execPath], {
    stdio: ["pipe", "pipe", "ignore"],
    env: { NODE_ENV: "production", PATH: process.env.PATH },
    detached: true, // a group of its own, so that its end is the end of all of it
  });
  const parts: Buffer[] = [];
  let size = 0;
  child.stdout.on("data", (part: Buffer) => {
    size += part.length;
    if (size > photoLimits.bytes * 2) endGroup(child.pid);
    else parts.push(part);
  });
  child.stdin.on("error", () => undefined);
  child.stdin.end(bytes);
  const code = await new Promise<number | null>((settle) => {
    const timer = setTimeout(() => endGroup(child.pid), limits.seconds * 1000);
    child.once("error", () => settle(null));
    child.once("close", (ended) => {
      clearTimeout(timer);
      settle(ended);
    });
  });
  endGroup(child.pid);
  const out = Buffer.concat(parts);
  const end = out.indexOf(10);
  if (code !== 0 || end < 0)
    throw new Refusal(
      "takes-too-much",
      "This drawing takes too long or too much memory to be drawn. Save it as PNG and choose that.",
      "picture",
    );
  const answer = drawnSchema.parse(JSON.parse(out.subarray(0, end).toString("utf8")));
  if (!answer.ok) throw new Refusal(answer.code, answer.message, answer.field);
  return { jpeg: out.subarray(end + 1), width: answer.width, height: answer.height, cleaned: answer.cleaned };
}

interface Drawn {
  readonly jpeg: Buffer;
  readonly width: number;
  readonly height: number;
  /** What else was in it and was left out. */
  readonly cleaned: string[];
}
const drawnSchema = z.discriminatedUnion("ok", [
  z.object({ ok: z.literal(true), width: z.number(), height: z.number(), cleaned: z.array(z.string()) }),
  z.object({ ok: z.literal(false), code: z.string(), message: z.string(), field: z.string().nullable() }),
]);

/**
 * Draws a schematic: an SVG once, by a renderer that runs no script and fetches nothing, and only the pixels are kept; `cleaned` says what else was
 * in it. Called by the process of its own.
 * @throws Refusal as washPhoto does, and for an SVG that declares entities, which can grow without bound.
 */
export async function drawSchematic(bytes: Buffer): Promise<Drawn> {
  const head = bytes.subarray(0, 4096).toString("utf8");
  if (!/<svg[\s>]/i.test(head)) return { ...(await washPhoto(bytes)), cleaned: [] };
  const text = bytes.toString("utf8");
  if (/<!ENTITY/i.test(text))
    throw new Refusal("entities", "This SVG declares entities, which can hide anything. Save it as a plain SVG or as PNG.", "picture");
  const cleaned = [...new Set(foreignInSvg.filter(([pattern]) => pattern.test(text)).map(([, words]) => words))];
  const png = await sharp(bytes, { limitInputPixels: photoLimits.pixels, density: 144 })
    .flatten({ background: "#fcfcfa" })
    .png()
    .toBuffer()
    .catch((error: unknown) => {
      const tooMany = error instanceof Error && /pixel limit|too large|exceeds/i.test(error.message);
      throw new Refusal(
        tooMany ? "too-many-pixels" : "not-a-picture",
        tooMany ? "The drawing is larger than 50 million pixels." : "This SVG cannot be drawn. Save it as PNG and choose that.",
        "picture",
      );
    });
  return { ...(await washPhoto(png)), cleaned };
}

const folder = (directory: string) => join(directory, "photos");
const fileOf = (hash: string, directory: string) => join(folder(directory), `${hash}.jpg`);

/** Keeps a washed picture under its hash. The file is safe on disk before its row is written. @returns the hash. */
export function keepPhoto(
  ctx: Context,
  photo: { jpeg: Buffer; width: number; height: number },
  directory: string = dataDirectory(),
): string {
  const hash = createHash("sha256").update(photo.jpeg).digest("hex");
  mkdirSync(folder(directory), { recursive: true });
  const file = fileOf(hash, directory);
  if (!existsSync(file)) {
    const temporary = join(folder(directory), `.${randomUUID()}.tmp`);
    const handle = openSync(temporary, "wx");
    writeFileSync(handle, photo.jpeg);
    fsyncSync(handle);
    closeSync(handle);
    renameSync(temporary, file);
    const folderHandle = openSync(folder(directory), "r");
    fsyncSync(folderHandle);
    closeSync(folderHandle);
  }
  ctx.db
    .prepare("INSERT OR IGNORE INTO photo (hash, width, height, bytes, at) VALUES (?, ?, ?, ?, ?)")
    .run(hash, photo.width, photo.height, photo.jpeg.length, ctx.now);
  return hash;
}

/** The bytes of a kept picture; null when the hash is unknown or no hash at all, or its file was taken away. */
export function readPhoto(db: Db, hash: string, directory: string = dataDirectory()): Buffer | null {
  if (!/^[0-9a-f]{64}$/.test(hash) || !db.prepare("SELECT 1 FROM photo WHERE hash = ?").get(hash)) return null;
  const file = fileOf(hash, directory);
  return existsSync(file) ? readFileSync(file) : null;
}
