import { answer } from "./answer";
import { answerByCodes } from "./answer-by-codes";
import { askCustomer } from "./ask-customer";
import { coverLine } from "./cover-line";
import { decline } from "./decline";
import { faultOutcome } from "./fault-outcome";
import { faultPutRight } from "./fault-put-right";
import { foresee } from "./foresee";
import { jobLine } from "./job-line";
import { jobLineRemoved } from "./job-line-removed";
import { kitStruck } from "./kit-struck";
import { mailQuote } from "./mail-quote";
import { partDeclined } from "./part-declined";
import { revokeAsking } from "./revoke-asking";
import { way } from "./way";
import { whoPays } from "./who-pays";

/** What hands do here. */
export const quoteActs = [
  decline,
  foresee,
  answer,
  way,
  jobLine,
  jobLineRemoved,
  whoPays,
  coverLine,
  faultOutcome,
  faultPutRight,
  askCustomer,
  mailQuote,
  revokeAsking,
  answerByCodes,
  partDeclined,
  kitStruck,
] as const;
