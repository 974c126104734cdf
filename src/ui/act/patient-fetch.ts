/** Waits between tries while the server is away. */
const delaysMs = [250, 500, 1000, 2000];

type Fetch = typeof window.fetch;

const isPageRequest = (input: Parameters<Fetch>[0], init: Parameters<Fetch>[1]): boolean => {
  if ((init?.method ?? "GET") !== "GET") return false;
  const url = typeof input === "string" ? input : input instanceof URL ? input.href : input.url;
  return /[?&]_rsc=/.test(url) || new Headers(init?.headers).has("rsc");
};

/** An answer with all of its body here: a server that dies halfway is one that did not answer. */
async function whole(answer: Response): Promise<Response> {
  const body = await answer.arrayBuffer();
  const { status, statusText, headers, url, redirected } = answer;
  const copy = new Response([204, 205, 304].includes(status) ? null : body, { status, statusText, headers });
  // Where it came from is told by these, which a new answer has not.
  return Object.defineProperties(copy, { url: { value: url }, redirected: { value: redirected } });
}

/**
 * Makes the page's own requests for its next state wait for a server that is away. The framework's answer to a failed one is to load the address
 * anew, which leaves an error page where presses go nowhere; waiting keeps the sheet, and every press on it. Requests of forms and devices are
 * not touched: they say by themselves that nobody answers.
 * @param fetch what really asks. @param pause between tries.
 */
export function patientFetch(
  fetch: Fetch,
  pause: (ms: number) => Promise<void> = (ms) => new Promise((settle) => setTimeout(settle, ms)),
): Fetch {
  return async (input, init) => {
    for (let attempt = 0; ; attempt++)
      try {
        const answer = await fetch(input, init);
        return isPageRequest(input, init) ? await whole(answer) : answer;
      } catch (error) {
        if (!isPageRequest(input, init) || init?.signal?.aborted) throw error;
        await pause(delaysMs[Math.min(attempt, delaysMs.length - 1)]!);
      }
  };
}
