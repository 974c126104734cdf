import { z } from "zod";

/** Drawn by the page that shows the link: thirty-two signs, 192 bits. */
export const linkToken = z.string().regex(/^[\w-]{32}$/, "This link is damaged. Reload the page.");
