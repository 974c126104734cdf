import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { askForPart } from "@/data/bench/fit-part";
import { changeCustomer, findCustomer, retireCustomer, searchCustomers } from "@/data/customers/customers";
import { listNeeds } from "@/data/parts/needs";
import { placeOrder } from "@/data/stores/orders";
import { findPartCard, listPartTypes, retirePart, setPartFacts } from "../catalogue/part-types";
import { findStock, removeBin, setBin } from "./stock";
import { addSupplier, changeSupplier, listOffers, listSuppliers, removeOffer, retireSupplier, setOffer } from "./suppliers";

describe("the book of suppliers", () => {
  it("takes a new one under an id of its own and refuses the same name twice, however it is written", () => {
    const { ctx, db } = openWorkshop();
    expect(addSupplier(ctx, { name: "Ferry Lane Spares", postageMinor: 450, leadDays: 6 })).toBe("ferry-lane-spares");
    expect(refusal(() => addSupplier(ctx, { name: "FERRY LANE SPARES", postageMinor: 0, leadDays: 0 })).field).toBe("name");
    expect(listSuppliers(db).map(({ name, offers }) => [name, offers])).toEqual([
      ["Ferry Lane Spares", 0],
      ["Quay", expect.any(Number)],
    ]);
  });

  it("changes a card once over what was read, and not over a change of another window", () => {
    const { ctx, db } = openWorkshop();
    const card = { id: "quay", name: "Quay and Sons", postageMinor: 600, leadDays: 2, rowVersion: 1 };
    changeSupplier(ctx, card);
    expect(refusal(() => changeSupplier(ctx, { ...card, name: "Old Quay" })).code).toBe("changed-elsewhere");
    expect(listSuppliers(db)[0]).toMatchObject({ name: "Quay and Sons", postageMinor: 600, leadDays: 2, rowVersion: 2 });
  });

  it("asks a retired one for nothing more, and can use it again", () => {
    const { ctx, db, open } = openWorkshop();
    const job = open();
    askForPart(ctx, job, "main-gear");
    const [need] = listNeeds(db, { states: ["open"] });
    retireSupplier(ctx, "quay", true);
    expect(listOffers(db, "sk-star")).toEqual([]);
    expect(refusal(() => placeOrder(ctx, "quay", [need!.id], "2026-03-02")).way).toEqual({ to: "suppliers" });
    expect(refusal(() => askForPart(ctx, job, "star")).way).toEqual({ to: "part", partTypeId: "sk-star", at: "offers" });
    retireSupplier(ctx, "quay", false);
    expect(placeOrder(ctx, "quay", [need!.id], "2026-03-02").orderId).toBeGreaterThan(0);
  });

  it("lets an offer go, and takes one only from somebody in the book", () => {
    const { ctx, db } = openWorkshop();
    removeOffer(ctx, "quay", "sk-star");
    expect(listOffers(db, "sk-star")).toEqual([]);
    expect(refusal(() => setOffer(ctx, { supplierId: "nobody", partTypeId: "sk-star", priceMinor: 1 })).way).toEqual({ to: "suppliers" });
  });
});

describe("a part that is not used any more", () => {
  it("is not offered and not ordered, and stays in the reels that have it", () => {
    const { ctx, db, open } = openWorkshop();
    retirePart(ctx, "sk-star", true);
    expect(listPartTypes(db).map(({ id }) => id)).not.toContain("sk-star");
    expect(refusal(() => askForPart(ctx, open(), "star")).way).toEqual({ to: "part", partTypeId: "sk-star", at: "facts" });
    expect(findPartCard(db, "sk-star")).toMatchObject({ retired: true });
    retirePart(ctx, "sk-star", false);
    askForPart(ctx, open(), "star");
  });

  it("changes its name and price over what was read; the number it is sold as has to be there", () => {
    const { ctx, db } = openWorkshop();
    const facts = { name: "Star, old", priceMinor: 99, supersededBy: null, hazard: null };
    setPartFacts(ctx, "sk-star", facts, 1);
    expect(refusal(() => setPartFacts(ctx, "sk-star", facts, 1)).code).toBe("changed-elsewhere");
    expect(findPartCard(db, "sk-star")).toMatchObject({ part: { name: "Star, old", priceMinor: 99 }, rowVersion: 2 });
    const missing = refusal(() => setPartFacts(ctx, "sk-star", { ...facts, supersededBy: "SK-999" }));
    expect([missing.field, missing.way]).toEqual(["supersededBy", { to: "new-part", number: "SK-999" }]);
  });
});

describe("a bin", () => {
  it("moves without being counted anew, and is given up once it is empty", () => {
    const { ctx, db } = openWorkshop();
    setBin(ctx, "sk-star", "C7", null, 3);
    expect(findStock(db, "sk-star")).toMatchObject({ bin: "C7", count: 2, minimum: 3 });
    expect(refusal(() => removeBin(ctx, "sk-star")).way).toEqual({ to: "bins", partTypeId: "sk-star" });
    setBin(ctx, "sk-star", "C7", 0, 0);
    removeBin(ctx, "sk-star");
    expect(findStock(db, "sk-star")).toBeNull();
  });
});

describe("a customer who does not come any more", () => {
  it("is not offered at the counter, unless a reel of theirs is still here", () => {
    const { ctx, db, customerId, open } = openWorkshop();
    const other = openWorkshop();
    open();
    expect(refusal(() => retireCustomer(ctx, customerId, true)).way).toMatchObject({ to: "station", station: "return" });
    retireCustomer(other.ctx, other.customerId, true);
    expect(searchCustomers(other.db, "", 50)).toEqual([]);
    const { retired, ...card } = findCustomer(other.db, other.customerId)!;
    expect(retired).toBe(true);
    changeCustomer(other.ctx, { ...card, note: "moved away" });
    retireCustomer(other.ctx, other.customerId, false);
    expect(searchCustomers(other.db, "", 50)).toHaveLength(1);
    expect(searchCustomers(db, "", 50)).toHaveLength(1);
  });
});
