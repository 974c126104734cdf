import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedWords } from "@/core/acts/act/typed";

export const listPiece = defineAct({
  name: "list-piece",
  permission: "bench",
  input: z.object({ id: z.string().max(80), number: typedWords("Enter a number; you can make one up.", 40) }),
  journals: ["piece-listed"],
});
