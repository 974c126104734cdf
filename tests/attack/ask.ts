import { Agent as PlainAgent, request as plain } from "node:http";
import { Agent as SecureAgent, request as secure } from "node:https";

export interface Asked {
  readonly status: number;
  readonly body: string;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
}
export interface Request {
  readonly from?: string | undefined;
  readonly method?: string;
  readonly headers?: Record<string, string>;
  readonly body?: string | Buffer;
}

const agents = { http: new PlainAgent({ keepAlive: true, maxSockets: 4 }), https: new SecureAgent({ keepAlive: true, maxSockets: 4 }) };

/** One request as another program makes it, from an address of this computer. */
export const ask = (url: string, { from, method = "GET", headers, body }: Request = {}): Promise<Asked> =>
  new Promise((settle, fail) => {
    const isSecure = url.startsWith("https:");
    const request = (isSecure ? secure : plain)(
      url,
      { method, localAddress: from, rejectUnauthorized: false, headers, agent: from ? undefined : agents[isSecure ? "https" : "http"] },
      (response) => {
        const parts: Buffer[] = [];
        response.on("data", (part: Buffer) => parts.push(part));
        response.on("error", fail);
        response.on("end", () =>
          settle({ status: response.statusCode!, body: Buffer.concat(parts).toString("utf8"), headers: response.headers }),
        );
      },
    );
    request.on("error", fail);
    request.end(body);
  });
