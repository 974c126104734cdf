// Zorbek's own small server around Next's handler. It says of every request from whose socket it came; nobody else can: what a request itself
// says about that is thrown away. Arguments: the port on this computer; then for other devices an address and a port each, with --lan.
import { createHash, randomBytes } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { createServer } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { join } from "node:path";
import Database from "better-sqlite3";
import next from "next";
import { bodyLimit, mostBytes, requestFault, socketHeader } from "./socket-kind.mjs";

process.env.NODE_ENV = "production";
process.env.NEXT_TELEMETRY_DISABLED = "1";
const port = Number(process.argv[2]);
/** Where other devices come in, such as 192.168.1.5:4443; with the files of a certificate. */
const { ZORBEK_LAN_LISTEN = "", ZORBEK_LAN_KEY = "", ZORBEK_LAN_CERTIFICATE = "" } = process.env;

/** Known to this process alone: the program believes what stands after it. */
const secret = randomBytes(32).toString("base64url");
process.env.ZORBEK_SOCKET = secret;
process.env.ZORBEK_PORT = String(port);

const headerName = "x-zorbek-socket";

// One server a folder: the lock is the system's own and goes with the process, however it ends.
const data = process.env.ZORBEK_DATA ?? "data";
mkdirSync(data, { recursive: true });
const lock = new Database(join(data, "server.lock"), { timeout: 500 });
// What nothing names is swept away, and the lock with it.
globalThis.zorbekLock = lock;
try {
  lock.pragma("locking_mode = EXCLUSIVE");
  lock.exec("BEGIN EXCLUSIVE; CREATE TABLE IF NOT EXISTS server (address TEXT)");
} catch {
  const address = existsSync(join(data, "server.address")) ? readFileSync(join(data, "server.address"), "utf8") : "";
  console.error(
    `Another Zorbek works with ${data} already${address && `, at ${address}`}. Open that one, or stop it first (Ctrl+C in its window).`,
  );
  process.exit(3);
}
writeFileSync(join(data, "server.address"), `http://127.0.0.1:${port}`, { mode: 0o600 });

// What an error says may quote what somebody wrote: a log gets its kind, its code and where it was.
const logged = console.error.bind(console);
const withoutWords = (one) =>
  one instanceof Error
    ? [one.name, one.code, one.digest, ...(one.stack ?? "").split("\n").filter((line) => /^\s+at /.test(line))].filter(Boolean).join("\n")
    : one;
console.error = (...said) => logged(...said.map(withoutWords));

const app = next({ dev: false, hostname: "127.0.0.1", port });
await app.prepare();
const handle = app.getRequestHandler();

/** The role of whoever a request's session belongs to; null where there is none that holds. Asked only where a body is larger than a stranger's. */
function roleOf(cookie) {
  const token = /(?:^|;\s*)__Host-zorbek=([\w-]{20,100})/.exec(cookie ?? "")?.[1];
  const file = join(data, "zorbek.db");
  if (!token || !existsSync(file)) return null;
  try {
    const db = new Database(file, { readonly: true, timeout: 500 });
    try {
      const now = Date.now();
      const row = db
        .prepare(
          "SELECT person.role, begun_at AS begunAt, seen_at AS seenAt FROM session JOIN person ON person.id = session.person_id WHERE token_hash = ? AND over = 'network' AND ended_at IS NULL AND person.active = 1",
        )
        .get(createHash("sha256").update(token).digest("hex"));
      // As long as a session may live, and rest (core/sign-in/session-limits): whether it holds is asked again behind.
      return row && Math.abs(now - Date.parse(row.begunAt)) < 12 * 3_600_000 && Math.abs(now - Date.parse(row.seenAt)) < 1_800_000
        ? row.role
        : null;
    } finally {
      db.close();
    }
  } catch {
    return null;
  }
}

/** @param secure whether it came over TLS */
const serve = (secure) => (request, response) => {
  const { remoteAddress = "", localAddress = "" } = request.socket;
  const from = socketHeader({ secret, secure, remoteAddress, localAddress, given: request.headers[headerName] });
  const kind = from.split(" ")[1];
  // Who, and then how much: nothing of a body is read before. Whoever has not come in yet sends a name and a passphrase, nothing larger.
  const length = Number(request.headers["content-length"] ?? 0);
  const refuse = (status, words) =>
    response.writeHead(status, { "content-type": "text/plain; charset=utf-8", connection: "close" }).end(words);
  const fault = requestFault(request.url, request.headers["next-router-state-tree"]);
  if (fault) return refuse(fault.status, fault.words);
  if (kind === "network" && request.headers["transfer-encoding"]) return refuse(411, "Say how long it is.");
  if (length > mostBytes.stranger) {
    const role = kind === "network" ? roleOf(request.headers.cookie) : null;
    if (length > bodyLimit(kind, role))
      return refuse(413, role || kind === "loopback" ? "This is more than Zorbek takes." : "Sign in first.");
  }
  // Sent on by the program to itself it carries the secret; from anywhere else this would be somebody's trick.
  if (request.headers["x-action-forwarded"] && request.headers[headerName] !== from) return refuse(400, "This is no request of Zorbek's.");
  request.headers[headerName] = from;
  // Nobody stands before this server: what claims to come from one is thrown away.
  for (const name of ["x-forwarded-for", "x-forwarded-host", "x-forwarded-proto", "x-forwarded-port", "x-real-ip", "forwarded"])
    delete request.headers[name];
  if (secure) request.headers["x-forwarded-proto"] = "https";
  // An act answers for itself, whatever befalls it (app/server/action.ts): what Next still fails at was no act, and that is the sender's fault.
  if (request.method === "POST" && !/^\/(api|q)\//.test(request.url)) {
    const writeHead = response.writeHead.bind(response);
    response.writeHead = (status, ...rest) => writeHead(status === 500 ? 400 : status, ...rest);
  }
  // Whoever hangs up half-way is no fault of the program's.
  request.on("error", () => response.destroy());
  void handle(request, response);
};

const limits = { headersTimeout: 20_000, requestTimeout: 120_000, keepAliveTimeout: 5000 };
const servers = [createServer(limits, serve(false)).listen(port, "127.0.0.1")];
for (const listen of ZORBEK_LAN_LISTEN.split(",").filter(Boolean)) {
  const [, host, lanPort] = /^(.*):(\d+)$/.exec(listen) ?? [];
  const server = createSecureServer(
    { ...limits, key: readFileSync(ZORBEK_LAN_KEY), cert: readFileSync(ZORBEK_LAN_CERTIFICATE), minVersion: "TLSv1.2" },
    serve(true),
  );
  server.maxConnections = 200;
  servers.push(server.listen(Number(lanPort), host));
}
for (const server of servers)
  server.on("error", (error) => {
    console.error(error.message);
    process.exit(1);
  });
for (const signal of ["SIGINT", "SIGTERM"])
  process.on(signal, () => {
    for (const server of servers) server.close();
    setTimeout(() => process.exit(0), 300).unref();
    for (const server of servers) server.closeIdleConnections();
  });
