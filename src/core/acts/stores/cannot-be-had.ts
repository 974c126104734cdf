import { z } from "zod";
import { defineAct } from "@/core/acts/act/act";
import { typedWords } from "@/core/acts/act/typed";

export const cannotBeHad = defineAct({
  name: "cannot-be-had",
  permission: "stores",
  input: z.object({ needId: z.number().int(), words: typedWords("Say in a sentence what to tell the owner.", 300) }),
  journals: ["cannot-be-had"],
});
