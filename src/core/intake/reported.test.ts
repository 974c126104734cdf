import { describe, expect, it } from "vitest";
import type { ComplaintId } from "@/core/vocabulary/counter-lists";
import { reportedWords } from "./reported";

const job = (complaints: ComplaintId[], complaint: string) => ({ complaint, intake: { complaints } });

describe("what the customer reported", () => {
  it("is what was ticked and their own words, the same thing once", () => {
    expect(reportedWords(job(["drag-weak", "slips-back"], "since the boat ramp"))).toBe("drag weak; slips backwards; since the boat ramp");
    expect(reportedWords(job(["drag-weak"], "Drag weak."))).toBe("drag weak");
    expect(reportedWords(job(["drag-weak"], "drag weak when wet"))).toBe("drag weak; drag weak when wet");
    expect(reportedWords(job([], ""))).toBe("");
  });
});
