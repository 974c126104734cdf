import { z } from "zod";
import { loadBench, type StationProps } from "@/app/server/bench-head";
import { publicAddress } from "@/app/server/public-address";
import { deskOf } from "@/app/server/send-mail";
import { reportedWords } from "@/core/intake/reported";
import { pieceSourceIds } from "@/core/vocabulary/piece-sources";
import { wayLines } from "@/core/ways/ways";
import { wayApplies } from "@/core/ways/ways-that-apply";
import { openAskingOf } from "@/data/asking/asking";
import { openingOf } from "@/data/bench/opening";
import { foreseenOf, upgradesOf, waysOf } from "@/data/bench/ways";
import { findCustomer } from "@/data/customers/customers";
import { listFaults, newPartsOf } from "@/data/diagnosis/faults";
import { faultOf } from "@/data/diagnosis/knowledge";
import { mailOf } from "@/data/messages/outbox";
import { pricesInJob } from "@/data/parts/job-prices";
import { listDeclined } from "@/data/parts/quote-parts";
import { getQuote, quoteOptions } from "@/data/quote/quotes";
import { getShopSettings } from "@/data/shop/settings";
import { AskPanel } from "@/ui/bench/quote/ask-panel";
import { QuoteSheet } from "@/ui/bench/quote/quote-sheet";
import { WaysPanel } from "@/ui/bench/quote/ways-panel";
import { dateWords, instantWords } from "@/ui/dates";

export const metadata = { title: "Quote" };

const mailWords = (mail: ReturnType<typeof mailOf>): string | null =>
  mail && (mail.sentAt === null ? "waits to be sent" : `sent as ${mail.reference}`);

/** The piece an address names, with its own price; null where it names none. */
function plannedPiece(from: unknown, price: unknown) {
  const source = z.enum(["donor", ...pieceSourceIds]).safeParse(from);
  const priceMinor = z.coerce.number().int().min(0).max(100_000_000).safeParse(price);
  return source.success && priceMinor.success && typeof price === "string" ? { source: source.data, priceMinor: priceMinor.data } : null;
}

export default async function QuotePage(props: StationProps) {
  const { db, head, job, version } = await loadBench(props);
  const ways = waysOf(db, job);
  const quote = getQuote(db, job);
  const letter = openAskingOf(db, job.id, new Date().toISOString());
  const { add, from, price } = await props.searchParams;
  const asked = version.anatomy.positions.find(({ id }) => id === add);
  const desk = deskOf(db);
  const planned = plannedPiece(from, price);
  const quoted = quote.parts.find(({ positionId }) => positionId === asked?.id)?.priceMinor;
  const { off } = openingOf(db, job, version).opening;
  const inQuote = new Set(quote.parts.map(({ positionId }) => positionId));
  const saidNo = new Set(listDeclined(db, job.id));
  const partTypeAt = (positionId: string) => version.anatomy.positions.find(({ id }) => id === positionId)?.partTypeId ?? "";
  const may = [
    ...new Set(listFaults(db, job.id).flatMap(({ faultId, outcome }) => (outcome === null ? newPartsOf(db, job, faultId).may : []))),
  ].filter((id) => !inQuote.has(id) && !saidNo.has(id));
  const prices = pricesInJob(db, job.id, may.map(partTypeAt));
  const names = Object.fromEntries(version.anatomy.positions.map((position) => [position.id, position.name]));
  return (
    <QuoteSheet
      head={head}
      reported={reportedWords(job)}
      quote={quote}
      seatNames={names}
      declined={listDeclined(db, job.id)}
      may={may.map((positionId) => ({ positionId, priceMinor: prices.get(partTypeAt(positionId)) ?? 0 }))}
      limitMinor={job.limitMinor}
      partsLimitMinor={job.intake.partsLimitMinor ?? null}
      rates={job.rates}
      currency={job.currency}
      customer={{ name: job.customer.name, phone: job.customer.phone }}
      shop={getShopSettings(db).shopName}
      declinedReason={job.declinedReason}
      ways={
        <WaysPanel
          jobId={job.id}
          closed={head.closed}
          customer={job.customer.name}
          ways={wayLines(ways).filter(({ way }) => wayApplies(way, version.partTypes.values(), job))}
        />
      }
      foreseen={foreseenOf(db, job, version, off)}
      faults={listFaults(db, job.id).map(({ faultId, outcome }) => ({ faultId, outcome, name: faultOf(db, faultId)?.name ?? faultId }))}
      valueMinor={job.valueMinor}
      asking={
        head.closed || job.declinedReason !== null ? null : (
          <AskPanel
            jobId={job.id}
            tag={job.tag}
            customer={{ name: job.customer.name, email: findCustomer(db, job.customer.id)?.email ?? "" }}
            letter={
              letter && {
                asked: letter.asked,
                made: instantWords(letter.madeAt),
                until: dateWords(letter.expiresAt),
                mailed: mailWords(mailOf(db, "quote", letter.id)),
              }
            }
            publicAddress={publicAddress()}
            mailBy={desk === null ? "nobody" : desk.simulated ? "stand-in" : "server"}
          />
        )
      }
      options={quoteOptions(db, job, upgradesOf(db, job, version, off))}
      add={
        asked && (planned ? quoted !== planned.priceMinor : quoted === undefined)
          ? { positionId: asked.id, words: asked.name, piece: planned }
          : null
      }
      pays={job.kind === "comeback" ? (job.intake.pays ?? "us") : null}
    />
  );
}
