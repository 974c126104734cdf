import { z } from "zod";
import { claimIds } from "@/core/diagnosis/purchase-check";
import { zoneIds } from "@/core/intake/outlines";
import { parseMinor } from "@/core/money/money";
import { farthestDay, keptChances } from "@/core/promise/backtest";
import { discountClasses } from "@/core/quote/discounts";
import { readMeasure } from "@/core/units/read-measure";
import { broughtWith, complaints, conditionMarks, dragWishes, handleHoles, hands, lives } from "@/core/vocabulary/counter-lists";
import { familyIds } from "@/core/vocabulary/families";
import { depths, jobKinds } from "@/core/vocabulary/job-kinds";
import { waters } from "@/core/vocabulary/use";
import { whoPays, whoPaysIds } from "@/core/vocabulary/who-pays";

const keys = <T extends Record<string, string>>(list: T) => z.enum(Object.keys(list) as [keyof T & string, ...(keyof T & string)[]]);
/** What the counter can do with a reel: take it in for one kind of job, keep it for its parts, or send it away with a reason. */
export const comesFor = { ...jobKinds, donor: "parts only (donor)", declined: "not accepted" } as const;
/** How deep, as the counter says it; usual is the way of the customer or the shop. */
export const depthChoices = { usual: "shop default", ...depths } as const;
/** Of a comeback: nothing is taken for granted. */
export const paysChoices = { "": "choose", ...whoPays } as const;
const amount = z
  .string()
  .trim()
  .refine((text) => text === "" || parseMinor(text) !== null, "An amount such as 20 or 19.50, or empty.");
const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "Choose a day.");

/** The choice of the model list for a reel the library has no model of. */
export const notInLibrary = "not-in-library";

/** The counter's one page, as typed. A known customer by id, or a new one by name. */
export const intakeFormSchema = z
  .object({
    customerId: z.string().regex(/^\d*$/),
    name: z.string().trim().max(80, "At most 80 letters."),
    phone: z.string().trim().max(40, "At most 40 characters."),
    email: z.union([z.literal(""), z.email("This is not an e-mail address. Write it like name@place.example, or leave it blank.")]),
    address: z.string().trim().max(200, "At most 200 characters."),
    modelId: z.string().min(1, "Choose the model."),
    unknownName: z.string().trim().max(60, "At most 60 letters."),
    family: z.enum(familyIds),
    serial: z
      .string()
      .trim()
      .max(40, "At most 40 characters.")
      .regex(
        /^[\p{L}\p{N}\s./?-]*$/u,
        "A serial has letters, digits, dots, dashes and slashes; use a question mark for a character nobody can read.",
      ),
    reelId: z.string().regex(/^\d*$/),
    madeBy: z.string().trim().max(60, "At most 60 letters."),
    madeWhen: z.string().trim().max(40, "At most 40 letters."),
    madeWhere: z.string().trim().max(60, "At most 60 letters."),
    hand: keys(hands),
    kind: keys(comesFor),
    depth: keys(depthChoices),
    claims: z.array(z.enum(claimIds)).max(claimIds.length),
    complaints: z.array(keys(complaints)).max(20),
    complaint: z.string().trim().max(1000, "At most 1000 characters."),
    water: z.enum(waters),
    tripsPerYear: z
      .string()
      .trim()
      .regex(/^\d{1,3}$/, "Trips a year: a whole number up to 999."),
    brought: z.array(keys(broughtWith)).max(20),
    conditions: z.array(keys(conditionMarks)).max(20),
    life: z.array(keys(lives)).max(10),
    marks: z.array(z.object({ mark: keys(conditionMarks), zone: z.enum(zoneIds) })).max(60),
    discountClass: keys(discountClasses),
    deposit: amount,
    value: amount,
    lineBreaks: z
      .string()
      .trim()
      .max(20, "At most 20 characters.")
      .refine(
        (text) => text === "" || (readMeasure(text, "N") > 0 && readMeasure(text, "N") <= 5000),
        "A load such as 30 lb, 14 kg or 130 N, or empty.",
      ),
    callFor: z.string().trim().max(120, "At most 120 letters."),
    pays: z.enum(["", ...whoPaysIds]),
    conditionNote: z.string().trim().max(500, "At most 500 characters."),
    brakes: z.string().trim().max(80, "At most 80 letters."),
    dragWish: keys(dragWishes),
    handleHole: keys(handleHoles),
    limit: z
      .string()
      .trim()
      .refine(
        (text) => text === "" || parseMinor(text) !== null,
        "Enter an amount such as 60 or 59.50, or leave it blank to ask for every quote.",
      ),
    partsLimit: amount,
    openingLimit: amount,
    wantedOn: z.union([z.literal(""), day]),
    promisedOn: day,
    /** The customer agreed to the shop's terms there and then. */
    termsAgreed: z.boolean().default(false),
    /** What the page showed of the bench as it was sent: the day named, and those of the other chances. Null where it showed nothing yet. */
    shown: z
      .object({
        on: day,
        named: z.number().int().min(0).max(farthestDay),
        days: z.array(z.number().int().min(0).max(farthestDay)).length(keptChances.length),
      })
      .nullable()
      .default(null),
  })
  .superRefine((form, context) => {
    if (!form.customerId && !form.name)
      context.addIssue({ code: "custom", path: ["name"], message: "Whose reel is it? Choose a customer or write a new name." });
    if (form.modelId === notInLibrary && !form.unknownName)
      context.addIssue({
        code: "custom",
        path: ["unknownName"],
        message: "Enter a name, markings or a description; the reel is filed under it.",
      });
    if (form.kind === "purchase-check" && !form.claims.length && !form.complaint)
      context.addIssue({
        code: "custom",
        path: ["complaint"],
        message: "What should be checked? Tick what the seller says, or write the question.",
      });
    if (form.kind === "declined" && !form.complaint)
      context.addIssue({
        code: "custom",
        path: ["complaint"],
        message: "Why is it not accepted? The next person to see this reel will ask.",
      });
    if (form.kind === "comeback" && !form.serial && !form.reelId)
      context.addIssue({
        code: "custom",
        path: ["serial"],
        message: "Enter the serial of the reel that came back, or choose it from the customer's reels, to find our last work on it.",
      });
    if (form.kind === "comeback" && !form.pays)
      context.addIssue({ code: "custom", path: ["pays"], message: "Who pays? Decide before anything is opened." });
    if ((form.kind === "repair" || form.kind === "comeback") && !form.complaints.length && !form.complaint)
      context.addIssue({
        code: "custom",
        path: ["complaint"],
        message: "What is wrong with it? Tick one, or write it in the customer's words.",
      });
  });

export type IntakeForm = z.input<typeof intakeFormSchema>;

/** A form nothing is typed in yet. @param promise the day that is said first. */
export const emptyForm = (promise: string): IntakeForm => ({
  customerId: "",
  name: "",
  phone: "",
  email: "",
  address: "",
  modelId: "",
  unknownName: "",
  family: "star-drag-bridge",
  serial: "",
  reelId: "",
  madeBy: "",
  madeWhen: "",
  madeWhere: "",
  hand: "right",
  kind: "repair",
  depth: "usual",
  claims: [],
  complaints: [],
  complaint: "",
  water: "salt",
  tripsPerYear: "20",
  brought: [],
  conditions: [],
  marks: [],
  discountClass: "none",
  deposit: "",
  value: "",
  callFor: "",
  lineBreaks: "",
  pays: "",
  life: [],
  conditionNote: "",
  brakes: "",
  dragWish: "shop",
  handleHole: "as-found",
  limit: "",
  partsLimit: "",
  openingLimit: "",
  wantedOn: "",
  promisedOn: promise,
  termsAgreed: false,
  shown: null,
});
