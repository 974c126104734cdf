import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { addUnknownModel, nameLoosePart, takeLoosePart } from "@/data/bench/loose-parts";
import { getCurrentModelVersion } from "@/data/catalogue/models";
import { consensusOfModel, failingSeats, takeConsensus, takeFailing } from "./consensus";

describe("teardowns of a model without a schematic", () => {
  it("become its schematic by one press once two of them agree, and not before", () => {
    const shop = openWorkshop();
    const modelId = addUnknownModel(shop.ctx, { maker: "Not known", name: "Old brass", family: "centrepin" });
    const teardown = (kinds: readonly ("screw" | "cap" | "washer" | "spool")[]) => {
      const id = shop.open({ modelId });
      kinds.forEach((kind, i) => {
        takeLoosePart(shop.ctx, id, kind);
        if (kind === "cap") nameLoosePart(shop.ctx, id, i + 1, "Thumb cap");
      });
      return id;
    };
    teardown(["screw", "cap", "washer", "spool"]);
    expect(consensusOfModel(shop.db, modelId)).toBeNull();
    expect(refusal(() => takeConsensus(shop.ctx, modelId)).code).toBe("too-few");
    teardown(["screw", "cap", "spool"]);
    teardown(["cap", "screw", "spool"]);
    const consensus = consensusOfModel(shop.db, modelId)!;
    expect(consensus.teardowns).toBe(3);
    expect(consensus.seats.map(({ part, seen }) => [part.kind, seen])).toEqual([
      ["screw", 3],
      ["cap", 3],
      ["washer", 1],
      ["spool", 3],
    ]);
    expect(takeConsensus(shop.ctx, modelId).seats).toBe(3);
    const { anatomy, number } = getCurrentModelVersion(shop.db, modelId);
    expect([anatomy.positions.length, number]).toEqual([3, 2]);
    expect(anatomy.positions.some(({ name }) => name === "Thumb cap")).toBe(true);
    expect(anatomy.positions.every(({ guessed }) => guessed)).toBe(true);
    expect(refusal(() => takeConsensus(shop.ctx, modelId)).code).toBe("has-schematic");
  });
});

describe("a seat that fails", () => {
  it("is offered once it was seen five times, and says so in the model's next version", () => {
    const shop = openWorkshop();
    expect(failingSeats(shop.db, "skerry-30")).toEqual([]);
    const seat = getCurrentModelVersion(shop.db, "skerry-30").anatomy.positions[0]!.id;
    shop.db.prepare("INSERT OR REPLACE INTO seat_wear (model_id, position_id, seen, worn) VALUES ('skerry-30', ?, 12, 5)").run(seat);
    const [failing] = failingSeats(shop.db, "skerry-30");
    expect(failing).toMatchObject({ seatId: seat, seen: 12, worn: 5 });
    const { number } = takeFailing(shop.ctx, "skerry-30", 1, seat);
    const changed = getCurrentModelVersion(shop.db, "skerry-30");
    expect(changed.number).toBe(number);
    expect(changed.anatomy.positions.find(({ id }) => id === seat)!.caution).toContain("worn in 5 of 12");
    // Once more it is written anew, not twice.
    shop.db.prepare("UPDATE seat_wear SET seen = 20, worn = 9 WHERE position_id = ?").run(seat);
    takeFailing(shop.ctx, "skerry-30", number, seat);
    const caution = getCurrentModelVersion(shop.db, "skerry-30").anatomy.positions.find(({ id }) => id === seat)!.caution!;
    expect(caution.match(/Fails often/g)).toHaveLength(1);
    expect(caution).toContain("9 of 20");
  });
});
