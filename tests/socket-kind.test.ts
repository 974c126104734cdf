import { describe, expect, it } from "vitest";
import { bodyLimit, mostBytes, requestFault, socketHeader } from "../scripts/socket-kind.mjs";

const secret = "s3cret";
const at = (remoteAddress: string, localAddress: string, given?: string, secure = false) =>
  socketHeader({ secret, secure, remoteAddress, localAddress, given });

describe("where a request came from", () => {
  it("is this computer only where both ends of the socket are, without TLS", () => {
    expect(at("127.0.0.1", "127.0.0.1")).toBe("s3cret loopback 127.0.0.1");
    expect(at("::ffff:127.0.0.1", "::ffff:127.0.0.1")).toBe("s3cret loopback 127.0.0.1");
    expect(at("127.0.0.2", "127.0.0.1")).toBe("s3cret network 127.0.0.2");
    expect(at("127.0.0.1", "127.0.0.2")).toBe("s3cret network 127.0.0.1");
    expect(at("192.168.1.9", "192.168.1.5", undefined, true)).toBe("s3cret network 192.168.1.9");
    expect(at("127.0.0.1", "127.0.0.1", undefined, true)).toContain("network");
  });

  it("is where the first one came from when the program sends a request on to itself", () => {
    // The program forwards an action over loopback with the headers it got: it stays the network's.
    const first = at("192.168.1.9", "192.168.1.5", undefined, true);
    expect(at("127.0.0.1", "127.0.0.1", first)).toBe(first);
  });

  it("is never what a request says of itself", () => {
    for (const given of ["loopback", "wrong loopback 127.0.0.1", " loopback 127.0.0.1", "s3cret elsewhere x", "", "s3cre loopback"])
      expect(at("192.168.1.9", "192.168.1.5", given, true)).toBe("s3cret network 192.168.1.9");
  });
});

describe("what is no request", () => {
  it("is told by its address, or by where it says it is, before anything else reads it", () => {
    expect(requestFault("/library/skerry-30?q=%E0%B0%85", undefined)).toBeNull();
    expect(requestFault("/rack", encodeURIComponent('["",{"children":["rack",{}]}]'))).toBeNull();
    for (const url of ["/%", "/library/%ff", "/a%00b", "/%C3", "/rack/..%2f..%2fetc", "/rack/..%5cetc"])
      expect(requestFault(url, undefined)?.status).toBe(400);
    expect(requestFault(`/${"a".repeat(9000)}`, undefined)?.status).toBe(414);
    for (const state of ["{", "%00", "%"]) expect(requestFault("/rack", state)?.status).toBe(400);
  });
});

describe("how much may come", () => {
  it("goes by who sends it: a cookie of any value is nobody", () => {
    expect(bodyLimit("network", null)).toBe(mostBytes.stranger);
    expect(bodyLimit("network", "bench")).toBe(mostBytes.worker);
    expect(bodyLimit("network", "owner")).toBe(mostBytes.owner);
    expect(bodyLimit("loopback", null)).toBe(mostBytes.owner);
    expect(mostBytes.stranger).toBeLessThan(100_000);
  });
});
