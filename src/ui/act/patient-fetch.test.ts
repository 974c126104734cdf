import { describe, expect, it } from "vitest";
import { patientFetch } from "./patient-fetch";

const away = (times: number) => {
  let tries = 0;
  const fetch = async () => {
    if (++tries <= times) throw new TypeError("no connection");
    return new Response("here");
  };
  return { fetch: fetch as typeof window.fetch, tries: () => tries };
};
const atOnce = () => Promise.resolve();

describe("the page's own requests", () => {
  it("wait for a server that is away, by the address or the header of a page's state", async () => {
    for (const [url, init] of [
      ["/bench?_rsc=1a2b", undefined],
      ["/bench", { headers: { rsc: "1" } }],
    ] as const) {
      const server = away(5);
      expect(await (await patientFetch(server.fetch, atOnce)(url, init)).text()).toBe("here");
      expect(server.tries()).toBe(6);
    }
  });

  it("count an answer that broke off halfway as none", async () => {
    let tries = 0;
    const broken = () => new Response(new ReadableStream({ start: (stream) => stream.error(new TypeError("cut")) }));
    const fetch = (async () => (++tries < 3 ? broken() : new Response("here"))) as typeof window.fetch;
    expect(await (await patientFetch(fetch, atOnce)("/bench?_rsc=1", undefined)).text()).toBe("here");
    expect(tries).toBe(3);
  });

  it("leave every other request to fail by itself, and stop when nobody waits any more", async () => {
    for (const [url, init] of [
      ["/api/press", { method: "POST", headers: { rsc: "1" } }],
      ["/api/soaks", undefined],
      ["/bench?_rsc=1a2b", { signal: AbortSignal.abort() }],
    ] as const) {
      const server = away(1);
      await expect(patientFetch(server.fetch, atOnce)(url, init)).rejects.toThrow("no connection");
      expect(server.tries()).toBe(1);
    }
  });
});
