import { customerChoices } from "@/app/server/customer-choice";
import { readFile } from "@/app/server/reading";
import { searchCustomers } from "@/data/customers/customers";

/** Customers for a search field. */
export const GET = readFile("customers", (db, _: object, request) =>
  Response.json(customerChoices(db, searchCustomers(db, (new URL(request.url).searchParams.get("q") ?? "").slice(0, 80), 12))),
);
