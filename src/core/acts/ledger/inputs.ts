import { z } from "zod";

export const customerCard = {
  name: z.string().trim().min(1, "Enter the customer's name.").max(80, "At most 80 letters."),
  phone: z.string().trim().max(40, "At most 40 characters."),
  email: z.union([z.literal(""), z.email("This is not an e-mail address. Write it like name@place.example, or leave it blank.")]),
  address: z.string().trim().max(200, "At most 200 characters.").default(""),
  note: z.string().trim().max(500, "At most 500 characters."),
};

export const paperNumber = z.number().int().positive();
