import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { waveSound } from "./wave-sound";

const folder = mkdtempSync(join(tmpdir(), "zorbek-wave-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
/** A tone as an independent program writes it, and reads it again (sox). */
function written(name: string, ...format: string[]): { bytes: Uint8Array; samples: number[] } {
  const path = join(folder, name);
  execFileSync("sox", ["-D", "-n", "-r", "8000", ...format, path, "synth", "0.5", "sine", "500", "vol", "0.2"]);
  const told = execFileSync("sox", [path, "-t", "dat", "-"], { encoding: "utf8" }).split("\n");
  const samples = told.filter((line) => line && !line.startsWith(";")).map((line) => Number(line.trim().split(/\s+/)[1]));
  return { bytes: readFileSync(path), samples };
}

describe("a WAV file's sound", () => {
  it.each([
    ["8 bits", ["-b", "8", "-e", "unsigned-integer"]],
    ["16 bits", ["-b", "16", "-e", "signed-integer"]],
    ["24 bits, said further on in its head", ["-b", "24", "-e", "signed-integer"]],
    ["32 bits", ["-b", "32", "-e", "signed-integer"]],
    ["floating point", ["-b", "32", "-e", "floating-point"]],
    ["floating point of 64 bits", ["-b", "64", "-e", "floating-point"]],
    ["two channels", ["-b", "16", "-e", "signed-integer", "-c", "2"]],
  ] as const)("is read from %s as sox reads it", (name, format) => {
    const { bytes, samples } = written(`${name.replaceAll(/\W/g, "-")}.wav`, ...format);
    const { sound, rate } = waveSound(bytes)!;
    expect(rate).toBe(8000);
    expect(sound).toHaveLength(4000);
    expect(samples).toHaveLength(4000);
    expect(Math.max(...samples)).toBeCloseTo(0.2, 2);
    for (const [i, sample] of samples.entries()) expect(Math.abs(sound[i]! - sample)).toBeLessThan(1e-8);
  });

  it("is none where it is no WAV file, or a compressed one", () => {
    expect(waveSound(new Uint8Array(0))).toBeNull();
    expect(waveSound(new Uint8Array(200))).toBeNull();
    expect(waveSound(written("law.wav", "-b", "8", "-e", "mu-law").bytes)).toBeNull();
  });
});
