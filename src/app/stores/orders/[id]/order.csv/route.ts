import { fileResponse } from "@/app/server/files";
import { readFile } from "@/app/server/reading";
import { paperOf } from "@/data/stores/orders";
import { orderCsv } from "@/formats/order-csv";

/** An order for a supplier's own program. */
export const GET = readFile("stores", (db, { id }: { id: string }) => {
  const paper = paperOf(db, Number(id));
  if (!paper) return new Response("There is no such order.", { status: 404 });
  return fileResponse(Buffer.from(orderCsv(paper)), "text/csv; charset=utf-8", `order-${paper.id}.csv`, "attachment");
});
