import type { Pressed } from "@/core/acts/act/board";
import type { Answer } from "./press-queue";

/**
 * Sends a press. Its id is the page's own: the same press sent again is done once. @returns the answer and its status: 401 when nobody is signed in, 503 when the data cannot be written just now.
 * @throws when no answer came; then the press may be sent again.
 */
export async function sendPress({ id, act, input }: Pressed, signal?: AbortSignal): Promise<{ status: number; answer: Answer }> {
  const response = await fetch("/api/press", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ pressId: id, act, input }),
    ...(signal ? { signal } : {}),
  });
  // A server that is just starting, or a proxy in front of a dead one, is no answer.
  if (response.status >= 500 && response.headers.get("content-type")?.includes("json") !== true)
    throw new Error(`status ${response.status}`);
  const text = await response.text();
  // What turned it away before it was read says why in plain words.
  if (response.headers.get("content-type")?.includes("json") !== true)
    return { status: response.status, answer: { ok: false, message: text.slice(0, 300), fields: {} } };
  return { status: response.status, answer: JSON.parse(text) as Answer };
}
