import { beforeEach, describe, expect, it } from "vitest";
import { openWorkshop, refusal, type Workshop } from "#tests/workshop";
import { findJob } from "@/data/jobs/jobs";
import { perhapsTwice, wasTwice } from "./twice";

let shop: Workshop;
beforeEach(() => {
  shop = openWorkshop();
});
const at = (time: string) => ({ ...shop.ctx, now: `2026-03-02T${time}:00.000Z` });
const open = (time: string, serial = "") => shop.open({ serial }, at(time));

describe("one reel checked in at two computers", () => {
  it("is told of to the later one, and only where no serial parts the two and the first is still here", () => {
    const first = open("10:00");
    const second = open("10:04");
    expect(perhapsTwice(shop.db, second)).toMatchObject({ id: first });
    expect(perhapsTwice(shop.db, first)).toBeNull();
    expect(perhapsTwice(shop.db, open("11:00"))).toBeNull();
    expect(perhapsTwice(shop.db, open("12:00", "A 17"))).toBeNull();
    expect(perhapsTwice(shop.db, open("12:01", "A 18"))).toBeNull();
    expect(perhapsTwice(shop.db, open("12:02"))).not.toBeNull();
  });

  it("ends as one job by a press: the later is closed with the other's tag, and charges nothing", () => {
    const first = open("10:00");
    const second = open("10:04");
    expect(wasTwice(at("10:05"), second).id).toBe(first);
    expect(findJob(shop.db, second)).toMatchObject({
      station: "closed",
      declinedReason: expect.stringContaining(findJob(shop.db, first)!.tag),
    });
    expect(shop.db.prepare("SELECT final_total_minor FROM job WHERE id = ?").pluck().get(second)).toBe(0);
    expect(findJob(shop.db, first)!.station).toBe("test");
    expect(refusal(() => wasTwice(at("10:06"), first)).code).toBe("no-twin");
  });
});
