import { z } from "zod";
import { typedNumber } from "@/core/acts/act/typed";

export const hoursInput = z.literal("").or(typedNumber("Hours such as 6 or 5.5, up to 16; blank for none.", { min: 0, max: 16 }));

export const dayInput = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day.");
