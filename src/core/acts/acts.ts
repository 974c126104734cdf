import type { AnswerOf, InputOf, ToldOf } from "./act/act";
import { benchActs } from "./bench/acts";
import { buildActs } from "./build/acts";
import { cleanActs } from "./clean/acts";
import { counterActs } from "./counter/acts";
import { findActs } from "./find/acts";
import { gaugesActs } from "./gauges/acts";
import { ledgerActs } from "./ledger/acts";
import { libraryActs } from "./library/acts";
import { lotActs } from "./lot/acts";
import { partsActs } from "./parts/acts";
import { quoteActs } from "./quote/acts";
import { rackActs } from "./rack/acts";
import { returnActs } from "./return/acts";
import { shopActs } from "./shop/acts";
import { storesActs } from "./stores/acts";
import { stripActs } from "./strip/acts";
import { testActs } from "./test/acts";

/** Every act there is, station by station. */
export const acts = [
  ...stripActs,
  ...buildActs,
  ...testActs,
  ...findActs,
  ...cleanActs,
  ...partsActs,
  ...quoteActs,
  ...returnActs,
  ...benchActs,
  ...lotActs,
  ...counterActs,
  ...rackActs,
  ...storesActs,
  ...libraryActs,
  ...gaugesActs,
  ...ledgerActs,
  ...shopActs,
] as const;

type AnyAct = (typeof acts)[number];
export type ActName = AnyAct["name"];
export type ActNamed<Name extends ActName> = Extract<AnyAct, { readonly name: Name }>;
export type InputNamed<Name extends ActName> = InputOf<ActNamed<Name>>;
export type ToldNamed<Name extends ActName> = ToldOf<ActNamed<Name>>;
export type AnswerNamed<Name extends ActName> = AnswerOf<ActNamed<Name>>;
