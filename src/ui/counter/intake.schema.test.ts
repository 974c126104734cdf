import { describe, expect, it } from "vitest";
import { emptyForm, type IntakeForm, intakeFormSchema, notInLibrary } from "@/core/acts/counter/intake-form";

const form = (change: Partial<IntakeForm> = {}): IntakeForm => ({
  ...emptyForm("2026-03-09"),
  name: "Ada Brook",
  modelId: "skerry-30",
  serial: "MS30/12-A",
  complaints: ["stiff"],
  limit: "59.50",
  ...change,
});
const wrong = (change: Partial<IntakeForm>) =>
  intakeFormSchema.safeParse(form(change)).error?.issues.map((issue) => issue.path.join(".")) ?? [];

describe("the counter's page", () => {
  it("takes an ordinary reel, with or without limit, mail and serial", () => {
    const fine: Partial<IntakeForm>[] = [
      {},
      { limit: "" },
      { limit: "60" },
      { limit: "60,5" },
      { email: "a@b.example" },
      { serial: "" },
      { complaints: [], complaint: "sounds odd" },
      { complaints: [], kind: "service", depth: "full" },
      { complaints: [], kind: "service", depth: "light" },
      { complaints: [], kind: "purchase-check", claims: ["serviced"] },
      { complaints: [], kind: "purchase-check", complaint: "Is the asking price right?" },
      { kind: "comeback", pays: "us" },
      { kind: "comeback", pays: "open", serial: "", reelId: "3" },
      { kind: "donor", complaints: [] },
      { kind: "declined", complaint: "plate cracked through" },
      { deposit: "20", discountClass: "club", marks: [{ mark: "pitting", zone: "foot" }] },
    ];
    for (const change of fine) expect(wrong(change), JSON.stringify(change)).toEqual([]);
  });

  it.each([
    [{ name: "" }, "name"],
    [{ name: "x".repeat(81) }, "name"],
    [{ email: "ada" }, "email"],
    [{ modelId: "" }, "modelId"],
    [{ serial: "<b>" }, "serial"],
    [{ complaints: [] }, "complaint"],
    [{ kind: "purchase-check", complaints: [] }, "complaint"],
    [{ kind: "declined" }, "complaint"],
    [{ deposit: "a lot" }, "deposit"],
    [{ marks: [{ mark: "pitting", zone: "moon" as never }] }, "marks.0.zone"],
    [{ kind: "comeback" }, "pays"],
    [{ kind: "comeback", pays: "us", complaints: [] }, "complaint"],
    [{ kind: "comeback", pays: "us", serial: "" }, "serial"],
    [{ tripsPerYear: "many" }, "tripsPerYear"],
    [{ tripsPerYear: "-1" }, "tripsPerYear"],
    [{ limit: "-5" }, "limit"],
    [{ limit: "1.234" }, "limit"],
    [{ promisedOn: "" }, "promisedOn"],
    [{ wantedOn: "soon" }, "wantedOn"],
    [{ modelId: notInLibrary }, "unknownName"],
  ] as [Partial<IntakeForm>, string][])("says what is wrong with %j at its field", (change, field) => {
    expect(wrong(change)).toEqual([field]);
  });

  it("needs no name where a known customer was chosen, and says everything that is wrong at once", () => {
    expect(wrong({ customerId: "3", name: "" })).toEqual([]);
    expect(wrong({ name: "", complaints: [], limit: "x" })).toContain("limit");
  });

  it("gives every message a remedy in words", () => {
    const issues = intakeFormSchema.safeParse(form({ email: "ada", limit: "x", tripsPerYear: "?" })).error!.issues;
    for (const issue of issues) expect(issue.message, issue.path.join(".")).toMatch(/such as|like|empty|whole number/);
  });
});
