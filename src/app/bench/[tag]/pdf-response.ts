/** A PDF shown in the browser; never cached, because the record behind it may change until the job is closed. */
export const pdfResponse = (bytes: Buffer, name: string): Response =>
  new Response(new Uint8Array(bytes), {
    headers: { "content-type": "application/pdf", "content-disposition": `inline; filename="${name}"`, "cache-control": "no-store" },
  });
