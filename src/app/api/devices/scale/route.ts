import { z } from "zod";
import { testIdSchema } from "@/core/proving/protocol";
import { listFindings } from "@/data/findings";
import { findJob } from "@/data/jobs";
import { type PullSetting, simulatedPullScale } from "@/devices/pull-scale";
import { getDb } from "../../../server";

const querySchema = z.object({ job: z.coerce.number().int().positive(), phase: z.enum(["before", "after"]), test: testIdSchema });

/** Newtons of even slip that the stand-in pretends at each mark. */
const levelOf: Record<string, number> = { "drag-light": 14, "drag-strike": 32, "drag-full": 58 };

/** Streams one pull of the scale as server-sent events; ends with the event `end`. */
export function GET(request: Request): Response {
  const query = querySchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return new Response("The scale needs a job and one of the drag tests.", { status: 400 });
  const db = getDb();
  const job = findJob(db, query.data.job);
  const level = levelOf[query.data.test];
  if (!job || level === undefined) return new Response("The scale serves the drag tests of a job that hangs here.", { status: 404 });
  // The stand-in's settable condition: what the customer complained of before, a sound drag after.
  const told = new Set<string>([...job.intake.complaints, ...listFindings(db, job.id).map((finding) => finding.faultId)]);
  const sick = query.data.phase === "before";
  const setting: PullSetting = {
    levelN: level * (sick && told.has("drag-weak") ? 0.6 : 1),
    startRatio: sick && (told.has("drag-jerky") || told.has("drag-dry")) ? 1.7 : 1.08,
    ripple: sick && told.has("drag-jerky") ? 0.08 : 0.02,
  };
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      for await (const sample of simulatedPullScale.pull(setting, request.signal))
        controller.enqueue(encoder.encode(`data: ${JSON.stringify(sample)}\n\n`));
      if (!request.signal.aborted) {
        controller.enqueue(encoder.encode("event: end\ndata: {}\n\n"));
        controller.close();
      }
    },
  });
  return new Response(stream, { headers: { "content-type": "text/event-stream", "cache-control": "no-store" } });
}
