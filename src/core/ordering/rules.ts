import { z } from "zod";

/** What the order plan reckons with, as the shop sets it. */
export const orderRulesSchema = z.object({
  /** Cost per day late this share of the job's work, in hundredths of a per cent. */
  lateShareBasisPoints: z.number().int().min(0).max(10_000),
  /** A piece left over counts at its price times the chance of use within so many days. */
  leftOverDays: z.number().int().min(30).max(3650),
  /** A parcel is reckoned with at the day it is here in so many of 100. */
  leadChance: z.number().int().min(50).max(99),
  /** A bin may run out before the parcel is here in so many of 100. */
  runningOutChance: z.number().int().min(1).max(50),
  /** How the simulated order desk behaves: late, and with a wrong piece, of 100 orders. */
  deskLate: z.number().int().min(0).max(100),
  deskWrong: z.number().int().min(0).max(100),
  /** Days of the week on which the shop orders: 1 Monday to 7 Sunday. */
  orderOn: z.array(z.number().int().min(1).max(7)).min(1).max(7),
});
export type OrderRules = z.infer<typeof orderRulesSchema>;

/** A tenth of the work a day, two years, 8 in 10, 5 in 100, Mondays and Thursdays. */
export const usualOrderRules: OrderRules = {
  lateShareBasisPoints: 1000,
  leftOverDays: 730,
  leadChance: 80,
  runningOutChance: 5,
  deskLate: 0,
  deskWrong: 0,
  orderOn: [1, 4],
};
