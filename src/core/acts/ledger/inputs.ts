import { z } from "zod";

export const customerCard = {
  name: z.string().trim().min(1, "A customer has a name.").max(80, "At most 80 letters."),
  phone: z.string().trim().max(40, "At most 40 characters."),
  email: z.union([z.literal(""), z.email("This is no e-mail address: leave it empty, or write it like name@place.example.")]),
  address: z.string().trim().max(200, "At most 200 characters.").default(""),
  note: z.string().trim().max(500, "At most 500 characters."),
};

export const paperNumber = z.number().int().positive();
