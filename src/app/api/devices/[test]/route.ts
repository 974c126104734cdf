import { z } from "zod";
import { readFile } from "@/app/server/reading";
import { instrumentFor } from "@/core/proving/read-trace";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import { type TestId, testIds } from "@/core/vocabulary/tests";
import { findJob } from "@/data/jobs/jobs";
import { getShopSettings } from "@/data/shop/settings";
import { type PretendedReel, simulatedInstrument } from "@/devices/instruments";

const querySchema = z.object({
  job: z.coerce.number().int().positive(),
  phase: z.enum(["before", "after"]),
  /** What the simulated instrument shows: as the customer told and the phase suggest, or what is asked for. */
  pretend: z.enum(["told", "sound", "worn"]).default("told"),
});

/** What the simulated instrument shows of each test: sound, worn out, and which complaints make it worn. */
const pretence: Partial<Record<TestId, { sound: number; worn: number; told: readonly ComplaintId[]; sickBy?: readonly ComplaintId[] }>> = {
  "drag-light": { sound: 14, worn: 8.5, told: ["drag-weak"], sickBy: ["drag-jerky"] },
  "drag-strike": { sound: 32, worn: 19, told: ["drag-weak"], sickBy: ["drag-jerky"] },
  "drag-full": { sound: 58, worn: 35, told: ["drag-weak"], sickBy: ["drag-jerky"] },
  "free-spool": { sound: 28, worn: 11, told: ["short-spin"] },
  turning: { sound: 9, worn: 19, told: ["stiff"], sickBy: ["gritty"] },
  click: { sound: 30, worn: 26, told: ["click-weak"], sickBy: ["click-weak"] },
};

/** Streams one measuring as server-sent events; ends with the event `end`. */
export const GET = readFile("jobs", (db, { test: asked }: { test: string }, request) => {
  const query = querySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  const test = z.enum(testIds).safeParse(asked);
  const instrument = test.success ? instrumentFor(test.data) : null;
  const reel = test.success ? pretence[test.data] : undefined;
  if (!query.success || !instrument || !reel) return new Response("An instrument needs a job and a test it can measure.", { status: 400 });
  if (!getShopSettings(db).simulated) return new Response("Simulated instruments are off in this shop.", { status: 403 });
  const job = findJob(db, query.data.job);
  if (!job) return new Response("There is no such job in the shop.", { status: 404 });
  const { pretend, phase } = query.data;
  const toldBy = (ids: readonly ComplaintId[]) =>
    pretend === "told" && phase === "before" && ids.some((id) => job.intake.complaints.includes(id));
  const setting: PretendedReel = {
    level: pretend === "worn" || toldBy(reel.told) ? reel.worn : reel.sound,
    sickness: pretend === "worn" || toldBy(reel.sickBy ?? []) ? 1 : 0,
  };
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      for await (const sample of simulatedInstrument(instrument.id).stream(setting, request.signal))
        controller.enqueue(encoder.encode(`data: ${JSON.stringify(sample)}\n\n`));
      if (!request.signal.aborted) {
        controller.enqueue(encoder.encode("event: end\ndata: {}\n\n"));
        controller.close();
      }
    },
  });
  return new Response(stream, { headers: { "content-type": "text/event-stream", "cache-control": "no-store" } });
});
