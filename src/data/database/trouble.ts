/** What keeps a shop's data from being read or written just now, in words for whoever stands there. */
export interface Trouble {
  readonly kind: "full" | "read-only" | "locked" | "damaged" | "broken-disk";
  readonly message: string;
  readonly remedy: string;
}

const troubles: readonly (Trouble & { readonly codes: RegExp })[] = [
  {
    kind: "full",
    codes: /^(SQLITE_FULL|ENOSPC|EDQUOT)/,
    message: "The disk is full: nothing more can be written.",
    remedy: "Free some space on the bench computer; nothing needs restarting. npm run doctor says how much is free.",
  },
  {
    kind: "read-only",
    codes: /^(SQLITE_READONLY|SQLITE_PERM|EROFS|EACCES|EPERM)/,
    message: "The shop's folder cannot be written to.",
    remedy:
      "Check that it belongs to whoever started Zorbek and that its disk is not read-only: npm run doctor says which. A USB stick may have been unplugged.",
  },
  {
    kind: "locked",
    codes: /^(SQLITE_BUSY|SQLITE_LOCKED)/,
    message: "Another program holds the shop's data.",
    remedy: "Close whatever has zorbek.db open, such as a database viewer or a copying program; work then continues by itself.",
  },
  {
    kind: "damaged",
    codes: /^(SQLITE_CORRUPT|SQLITE_NOTADB|SQLITE_SCHEMA)/,
    message: "The shop's data is damaged.",
    remedy: "Stop Zorbek and put the last good copy back: npm run restore lists them. The damaged files are kept beside it.",
  },
  {
    kind: "broken-disk",
    codes: /^(SQLITE_IOERR|SQLITE_CANTOPEN|SQLITE_PROTOCOL|EIO|EMFILE|ENFILE|ENODEV|ENXIO)/,
    message: "The disk is not responding properly.",
    remedy:
      "Check that the disk or stick is connected and healthy, then try again; npm run doctor checks everything. The folder “backups” holds copies.",
  },
];

/** What SQLite or the file system complained of; null for anything that is no trouble of theirs. */
export function troubleOf(error: unknown): Trouble | null {
  const code = String((error as { code?: unknown } | null)?.code ?? "");
  const found = troubles.find(({ codes }) => codes.test(code));
  return found ? { kind: found.kind, message: found.message, remedy: found.remedy } : null;
}

/** What a page that failed tells the screen it was made for, which sees nothing else of the error. */
export const troubleDigest = ({ kind }: Trouble): string => `data-${kind}`;

/** The words to such a digest; null for any other. */
export function troubleOfDigest(digest: string | undefined): Pick<Trouble, "message" | "remedy"> | null {
  return troubles.find((one) => troubleDigest(one) === digest) ?? null;
}

/** Lets whoever draws the page of an error know what it was. */
export function withDigest(error: unknown): unknown {
  const trouble = troubleOf(error);
  return trouble && error instanceof Error ? Object.assign(error, { digest: troubleDigest(trouble) }) : error;
}
