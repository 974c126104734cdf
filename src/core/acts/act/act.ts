import type { z } from "zod";
import type { JournalAction } from "@/core/journal/journal-sentence";
import type { Permission } from "@/core/sign-in/permissions";

/** How much one press may carry, bytes: a trace of some thousand samples is the largest, unless the act takes a file in. */
export const pressBytes = { usual: 2 * 1024 * 1024, file: 40 * 1024 * 1024 } as const;

/** An act of the hand: what it is called everywhere, who may do it, what it is told, what it writes in the journal and what it answers. */
export interface Act<Name extends string = string, Input extends z.ZodType = z.ZodType, Answer = unknown> {
  /** One name: at the page's key, on the wire, among the presses kept, in the registry. */
  readonly name: Name;
  readonly permission: Permission;
  readonly input: Input;
  /** The entries that say it was done; what it sets in motion elsewhere writes its own. Empty where it only looks. */
  readonly journals: readonly JournalAction[];
  /** The answer is a secret, such as a code: it is kept nowhere, and told once. */
  readonly secretAnswer?: boolean;
  /** It takes a file in, or a whole model. */
  readonly size?: keyof typeof pressBytes;
  /** Only for its type: `answers<...>()`. */
  readonly answer?: Answer | undefined;
}

/** What an act answers, as a type. */
export const answers = <Answer>(): Answer | undefined => undefined;

export const defineAct = <const Name extends string, Input extends z.ZodType, Answer = void>(
  act: Act<Name, Input, Answer>,
): Act<Name, Input, Answer> => act;

/** What is only read on its way. */
type Sent<T> = T extends string | number | boolean | null | undefined
  ? T
  : T extends readonly (infer One)[]
    ? readonly Sent<One>[]
    : T extends object
      ? { readonly [Key in keyof T]: Sent<T[Key]> }
      : T;

/** What a page sends, what the act is told once that is read, and what it answers. */
export type InputOf<A> = A extends Act<string, infer Input, unknown> ? Sent<z.input<Input>> : never;
export type ToldOf<A> = A extends Act<string, infer Input, unknown> ? z.output<Input> : never;
export type AnswerOf<A> = A extends Act<string, z.ZodType, infer Answer> ? Answer : never;
