"use client";
import { useEffect, useState } from "react";
import type { BenchToAsk } from "./bench-to-ask";
import type { BenchQuestion, BenchReply } from "./bench-worker";

/** The bench as it stands, from the shop's own server; null until it came. @param query such as "?model=…"; null asks nothing. */
export function useBenchToAsk(query: string | null): BenchToAsk | null {
  const [got, setGot] = useState<{ readonly of: string; readonly value: BenchToAsk } | null>(null);
  useEffect(() => {
    if (query === null) return;
    const gone = new AbortController();
    const ask = async () => {
      const answer = await fetch(`/api/promise${query}`, { signal: gone.signal }).catch(() => null);
      if (answer?.ok) setGot({ of: query, value: (await answer.json()) as BenchToAsk });
    };
    void ask().catch(() => undefined);
    return () => gone.abort();
  }, [query]);
  return got && got.of === query ? got.value : null;
}

/** The worker's answer to a question, a first one soon and a better one after it; a new question ends the one before. Keep the question's identity. */
export function useBenchReply(question: BenchQuestion | null): BenchReply | null {
  const [reply, setReply] = useState<{ readonly of: BenchQuestion; readonly value: BenchReply } | null>(null);
  useEffect(() => {
    if (!question) return;
    const worker = new Worker(new URL("./bench-worker.ts", import.meta.url), { type: "module" });
    worker.onmessage = ({ data }: MessageEvent<BenchReply>) => setReply({ of: question, value: data });
    worker.postMessage(question);
    return () => worker.terminate();
  }, [question]);
  return question && reply?.of === question ? reply.value : null;
}
