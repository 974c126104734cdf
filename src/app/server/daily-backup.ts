import { msPerHour } from "@/core/day/day";
import "server-only";
import { spawn } from "node:child_process";
import { join } from "node:path";
import { type BackupWhy, backedUpOn } from "@/data/database/backup";
import { dataDirectory } from "@/data/database/database";

const holder = globalThis as typeof globalThis & { zorbekBackups?: NodeJS.Timeout };
const hour = msPerHour;

/** Looks every hour whether today has its copy, and has one made by a program of its own: copying and looking it over holds no page up. @param eachHour done before it. */
export function backUpDaily(eachHour: () => void): void {
  if (holder.zorbekBackups || process.env.ZORBEK_NO_BACKUP) return;
  const look = () => {
    eachHour();
    backUpToday();
  };
  setTimeout(look, 60_000).unref();
  holder.zorbekBackups = setInterval(look, hour).unref();
}

function backUpToday(): void {
  if (!backedUpOn(dataDirectory(), new Date())) startBackup();
}

/** Starts a backup beside the server; resolves when it has ended, with whether a whole copy was made. */
export const startBackup = (why: BackupWhy = "daily"): Promise<boolean> =>
  new Promise((settle) => {
    const child = spawn(process.execPath, [join("node_modules", "tsx", "dist", "cli.mjs"), join("scripts", "backup.ts"), `--${why}`], {
      env: { ...process.env, ZORBEK_DATA: dataDirectory() },
      stdio: ["ignore", "ignore", "inherit"],
    });
    child.once("error", () => settle(false));
    child.once("exit", (code) => settle(code === 0));
  });
