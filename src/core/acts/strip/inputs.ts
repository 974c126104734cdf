import { z } from "zod";
import { kindWords, type PartKind } from "@/core/anatomy/shapes";

export const seats = z.array(z.string().min(1).max(60)).min(1).max(60);

export const partKind = z.enum(Object.keys(kindWords) as [PartKind, ...PartKind[]], "There is no such kind of part.");
