"use client";
import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";
import { useShortcut } from "@/ui/keys/keys";

interface Hit {
  readonly kind: string;
  readonly ref: string;
  readonly title: string;
}

const roomOf: Record<string, (ref: string) => string> = {
  job: (ref) => `/bench/${ref}`,
  reel: (ref) => `/ledger/reel/${ref}`,
  customer: (ref) => `/ledger?customer=${ref}`,
  model: (ref) => `/library/${ref}`,
  part: (ref) => `/library/part/${encodeURIComponent(ref)}`,
};

/** `/` finds anything by tag, serial, owner, model or part. Enter opens the first. */
export function Finder() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  const [hits, setHits] = useState<readonly Hit[]>([]);
  const [message, setMessage] = useState("");
  useShortcut("/", "Find anything", "Everywhere", () => setOpen(true));

  useEffect(() => {
    if (!text.trim()) {
      setHits([]);
      setMessage("");
      return;
    }
    const control = new AbortController();
    fetch(`/api/find?q=${encodeURIComponent(text)}`, { signal: control.signal })
      .then(async (response) => {
        const answer = (await response.json()) as { hits: Hit[]; message?: string };
        setHits(answer.hits);
        setMessage(answer.message ?? (answer.hits.length ? "" : "Nothing here by that name, serial or number. Try fewer letters."));
      })
      .catch((error: unknown) => {
        if (!(error instanceof DOMException)) setMessage("The bench computer does not answer.");
      });
    return () => control.abort();
  }, [text]);

  const go = (hit: Hit) => {
    setOpen(false);
    setText("");
    router.push(roomOf[hit.kind]!(hit.ref));
  };

  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="min-h-10 px-2">
        Find <span className="cap max-md:hidden">/</span>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-bench/80" />
        <Dialog.Content className="sheet fixed top-16 left-1/2 z-20 w-[min(680px,94vw)] -translate-x-1/2 p-4" aria-describedby={undefined}>
          <Dialog.Title>Find</Dialog.Title>
          <form
            className="mt-2"
            onSubmit={(event) => {
              event.preventDefault();
              if (hits[0]) go(hits[0]);
            }}
          >
            <input
              aria-label="Tag, serial, owner, model or part"
              placeholder="Tag, serial, owner, model or part"
              value={text}
              onChange={(event) => setText(event.target.value)}
              autoComplete="off"
            />
          </form>
          <p role="status" className="mt-2 text-text">
            {message}
          </p>
          <ul>
            {hits.map((hit) => (
              <li key={`${hit.kind} ${hit.ref}`} className="rule-row">
                <button type="button" className="flex min-h-12 w-full items-center gap-4 text-left text-brass" onClick={() => go(hit)}>
                  <span className="w-20 text-note text-ink">{hit.kind}</span>
                  <span className="font-semibold">{hit.title}</span>
                </button>
              </li>
            ))}
          </ul>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
