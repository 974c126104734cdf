"use client";
import { nanoid } from "nanoid";
import { useRouter } from "next/navigation";
import { useCallback, useState } from "react";
import type { ActionResult } from "./press";
import { retryDelaysMs } from "./use-act";

/**
 * Sends one file as a press: with an id of its own, again with the same id while no answer comes, done once.
 * @returns the outcome; a file that did not arrive is said in words.
 */
export async function sendFile<R>(
  url: string,
  field: string,
  file: File,
  about: Readonly<Record<string, string | number>> = {},
): Promise<ActionResult<R>> {
  const form = new FormData();
  form.set("pressId", nanoid());
  form.set(field, file);
  for (const [key, value] of Object.entries(about)) form.set(key, String(value));
  for (let attempt = 0; ; attempt++) {
    const response = await fetch(url, { method: "POST", body: form }).catch(() => null);
    if (response) {
      const answer = (await response.json().catch(() => null)) as ActionResult<R> | null;
      if (answer) return answer;
    }
    const delay = retryDelaysMs[attempt];
    if (delay === undefined)
      return { ok: false, message: "The picture did not arrive. Send it again; it is still on your device.", fields: {} };
    await new Promise((resolve) => setTimeout(resolve, delay));
  }
}

/** One file at a time from a page, which is shown anew once it is in. */
export function useUpload<R>(url: string, field: string) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [message, setMessage] = useState<string | null>(null);
  const send = useCallback(
    async (file: File, about?: Readonly<Record<string, string | number>>): Promise<R | null> => {
      setBusy(true);
      setMessage(null);
      const result = await sendFile<R>(url, field, file, about);
      setBusy(false);
      if (!result.ok) {
        setMessage(result.message);
        return null;
      }
      router.refresh();
      return result.value;
    },
    [url, field, router],
  );
  return { send, busy, message };
}
