import { describe, expect, it } from "vitest";
import { openWorkshop, refusal } from "#tests/workshop";
import { addCustomer, customerByName, retireCustomer } from "./customers";

const count = (shop: ReturnType<typeof openWorkshop>) => shop.db.prepare("SELECT count(*) FROM customer").pluck().get() as number;
const typed = (name: string, phone = "", email = "") => ({ name, phone, email });

describe("an exact known name", () => {
  it.each(["Ada Brook", "ada brook", "  Ada   Brook ", "ADA BROOK"])("“%s” is the known customer, and makes no second card", (name) => {
    const shop = openWorkshop();
    const before = count(shop);
    expect(customerByName(shop.ctx, typed(name))).toBe(shop.customerId);
    expect(count(shop)).toBe(before);
  });

  it.each(["Ada Brooks", "Ada", "Adá Brook"])("“%s” is somebody new", (name) => {
    const shop = openWorkshop();
    expect(customerByName(shop.ctx, typed(name))).not.toBe(shop.customerId);
  });

  it("is another person when another phone is typed with it, and asked for when two have it", () => {
    const shop = openWorkshop();
    shop.db.prepare("UPDATE customer SET phone = '0555 01' WHERE id = ?").run(shop.customerId);
    expect(customerByName(shop.ctx, typed("Ada Brook", "055501"))).toBe(shop.customerId);
    const daughter = customerByName(shop.ctx, typed("Ada Brook", "0555 99"));
    expect(daughter).not.toBe(shop.customerId);
    expect(refusal(() => customerByName(shop.ctx, typed("Ada Brook")))).toMatchObject({ code: "several", field: "customerId" });
    expect(customerByName(shop.ctx, typed("Ada Brook", "0555 99"))).toBe(daughter);
    retireCustomer(shop.ctx, daughter, true);
    expect(customerByName(shop.ctx, typed("Ada Brook"))).toBe(shop.customerId);
    expect(addCustomer(shop.ctx, typed("Ada Brook"))).not.toBe(shop.customerId);
  });
});
