import "server-only";
import type { z } from "zod";
import { mayDo, type Permission } from "@/core/sign-in/permissions";
import { controlSignAt } from "@/core/vocabulary/control-signs";
import { type Context, Refusal } from "@/data/database/context";
import { photoLimits } from "@/data/database/photos";
import { pressSchema } from "@/ui/act/press";
import { actOnce } from "./action";
import { getDb } from "./db";
import { logFault, undoneWords } from "./log";
import { whoAsks } from "./person";

interface UploadSpec<S extends z.ZodType, W, P, R> {
  readonly name: string;
  /** The form's field with the file, and the words for a form that does not say what it belongs to. */
  readonly field: string;
  readonly lacking: string;
  readonly input: S;
  /** What everybody who may send one at all may do: asked before a byte is read. */
  readonly door: Permission;
  readonly permission: (input: z.output<S>) => Permission;
  /** Makes what is kept of the file; nothing else of it goes further. */
  readonly wash: (bytes: Buffer) => Promise<W>;
  readonly run: (ctx: Context, input: z.output<S>, washed: W, params: P) => R;
}

/** The form's own parts around the file. */
const formOverheadBytes = 64 * 1024;
const said = (status: number, message: string) => Response.json({ ok: false, message, fields: {} }, { status });

/** An upload is a press like any other: it carries an id, is done once, and answers as an action does. */
export function defineUpload<S extends z.ZodType, W, P, R>(spec: UploadSpec<S, W, P, R>) {
  const tooLarge = `The picture has more than ${photoLimits.bytes / 1024 / 1024} MB. Make it smaller and send it again.`;
  return async (request: Request, { params }: { params: Promise<P> }): Promise<Response> => {
    try {
      // Who, as what, how much: then the bytes.
      const { person } = await whoAsks(getDb());
      if (!person) return said(401, "Sign in first.");
      const mayNot = `${person.name} may not do this (role: ${person.role}). Choose another person at Shop.`;
      if (!mayDo(person, spec.door)) return said(403, mayNot);
      const length = Number(request.headers.get("content-length") ?? Number.NaN);
      if (!Number.isSafeInteger(length) || length <= 0) return said(411, "Say how long it is: the whole picture is sent in one piece.");
      if (length > photoLimits.bytes + formOverheadBytes) return said(413, tooLarge);
      const form = await request.formData().catch(() => null);
      const file = form?.get(spec.field);
      const { pressId, [spec.field]: _, ...fields } = Object.fromEntries(form ?? []);
      const press = pressSchema.shape.pressId.safeParse(pressId);
      const input = spec.input.safeParse(fields);
      if (!press.success || !input.success || !(file instanceof File) || controlSignAt(fields) !== null) return said(400, spec.lacking);
      if (!mayDo(person, spec.permission(input.data))) return said(403, mayNot);
      if (file.size > photoLimits.bytes) return said(413, tooLarge);
      const given = await params;
      // Before the transaction: it takes its time, and touches nothing.
      const washed = await spec.wash(Buffer.from(await file.arrayBuffer()));
      const result = await actOnce({
        name: spec.name,
        permission: spec.permission(input.data),
        pressId: press.data,
        run: (ctx) => spec.run(ctx, input.data, washed, given),
      });
      return Response.json(result, { status: result.ok ? 200 : 422 });
    } catch (error) {
      return error instanceof Refusal ? said(422, error.message) : said(500, undoneWords(logFault(spec.name, error)));
    }
  };
}
