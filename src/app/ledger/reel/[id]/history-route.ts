import type { ReelHistory } from "@/core/history/history";
import { getReelHistory } from "@/data/ledger/reel-history";
import { monthsAfter } from "@/ui/dates";
import { getDb, today } from "../../../server";

export type ReelParams = { params: Promise<{ id: string }> };

/** The history of the reel in the address; null when there is none. */
export const historyOf = async ({ params }: ReelParams): Promise<ReelHistory | null> =>
  getReelHistory(getDb(), Number((await params).id), { today: today(), after: monthsAfter });

export const noReel = () => new Response("There is no such reel.", { status: 404 });
