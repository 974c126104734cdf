import { z } from "zod";

export const oneKeyOf = <T extends Record<string, string>>(list: T) =>
  z.enum(Object.keys(list) as [keyof T & string, ...(keyof T & string)[]]);
