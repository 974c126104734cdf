import { homedir } from "node:os";
import { join } from "node:path";

/** Where a real shop's data lies: ZORBEK_DATA, else the folder for programs' data of whoever starts it, away from the program's own files. */
export const shopDirectory = () =>
  process.env.ZORBEK_DATA ??
  (process.platform === "win32"
    ? join(process.env.LOCALAPPDATA ?? homedir(), "Zorbek")
    : join(process.env.XDG_DATA_HOME || join(homedir(), ".local", "share"), "zorbek"));
