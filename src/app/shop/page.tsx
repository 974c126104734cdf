import { cookies } from "next/headers";
import Link from "next/link";
import { today } from "@/app/server/clock";
import { lanAddresses } from "@/app/server/lan";
import { whoAsks } from "@/app/server/person";
import { readPage } from "@/app/server/reading";
import { chooseHere } from "@/app/sign-in/actions";
import { daysPassed } from "@/core/day/day";
import { instruments } from "@/core/proving/read-trace";
import { seenSettings } from "@/core/shop/settings";
import { paletteOf } from "@/core/vocabulary/palettes";
import { listBackups } from "@/data/database/backup";
import { dataDirectory } from "@/data/database/database";
import { listShutDays } from "@/data/shop/opening";
import { listFormerPeople, listPeople } from "@/data/shop/people";
import { getShopSettings } from "@/data/shop/settings";
import { secretsOf } from "@/data/sign-in/secrets";
import { listSessions } from "@/data/sign-in/sessions";
import { dateWords, instantWords } from "@/ui/dates";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { AtTheBench } from "@/ui/shop/at-the-bench";
import { Backups } from "@/ui/shop/backups";
import { Devices } from "@/ui/shop/devices";
import { PaletteChoice } from "@/ui/shop/palette-choice";
import { People } from "@/ui/shop/people";
import { ShopForm } from "@/ui/shop/shop-form";
import { ShutDays } from "@/ui/shop/shut-days";
import { backUpNow, restoreCopy } from "./backup-actions";

export const metadata = { title: "Shop" };

/** The copies as they are shown, and how old the newest is. */
function shownBackups() {
  const copies = listBackups(dataDirectory());
  const days = copies[0] ? daysPassed(copies[0].at, new Date().toISOString()) : null;
  return {
    copies: copies.map(({ name, at, bytes }) => ({ name, words: `${instantWords(at)}, ${(bytes / 1024 ** 2).toFixed(1)} MB` })),
    age:
      days === null
        ? "No backup yet. The first is made within an hour of starting, then one a day."
        : `The newest is from ${instantWords(copies[0]!.at)}; ${copies.length} kept.${days >= 7 ? " That is more than a week: back up now." : ""}`,
    alarm: days !== null && days >= 7,
  };
}

/** What is on this page, in its order. */
const contents = [
  ["papers", "Papers"],
  ["terms", "Terms"],
  ["money", "Rates and hours"],
  ["ways", "Ways of working"],
  ["this-program", "This program"],
  ["people", "People and devices"],
  ["opening", "Holidays"],
  ["knowledge", "Diagnosis"],
  ["data", "Data"],
  ["backups", "Backups"],
  ["instruments", "Instruments"],
] as const;

export default async function ShopPage() {
  const db = await readPage("shop");
  const asks = await whoAsks(db);
  if (!asks.person) return null;
  const { person: me, from } = asks;
  const now = new Date().toISOString();
  const people = listPeople(db).map((person) => ({ ...person, ...secretsOf(db, person.id) }));
  const mine = me.role === "owner" ? undefined : me.id;
  const settings = getShopSettings(db);
  return (
    <Sheet
      fill
      block={
        <CornerBlock
          cells={[
            { label: "At the bench", value: me.name, large: true },
            { label: "Role", value: me.role },
          ]}
        />
      }
    >
      <nav aria-label="On this page" className="mb-4 flex flex-wrap gap-x-6 border-b border-ink">
        {contents.map(([id, name]) => (
          <a key={id} className="act-link inline-flex min-h-10 items-center" href={`#${id}`}>
            {name}
          </a>
        ))}
      </nav>
      <div className="grid gap-10 lg:grid-cols-[1fr_1fr]">
        <ShopForm settings={settings} seen={seenSettings(settings)} />
        <div className="flex flex-col gap-6">
          <section id="people">
            <h1>Who is at the bench</h1>
            {from.over === "loopback" && <AtTheBench people={people} me={me.id} choose={chooseHere} />}
            <PaletteChoice now={paletteOf((await cookies()).get("palette")?.value)} />
            <People people={people} me={me} former={listFormerPeople(db)} />
            <Devices
              sessions={listSessions(db, now, mine).map(({ id, person, over, address, device, begunAt, seenAt }) => ({
                id,
                words: `${person.name}: ${over === "network" ? `${device}, ${address}` : "this computer"}, since ${instantWords(begunAt)}, last seen ${instantWords(seenAt)}`,
                own: id === asks.session?.id,
              }))}
              lan={lanAddresses().length > 0}
              fingerprint={process.env.ZORBEK_LAN_FINGERPRINT ?? ""}
              people={me.role === "owner" ? people : people.filter(({ id }) => id === me.id)}
            />
          </section>
          <ShutDays
            today={today()}
            days={listShutDays(db, today()).map(({ id, from, to, words }) => ({
              id,
              words: `${words}: ${dateWords(from)}${to === from ? "" : ` to ${dateWords(to)}`}`,
            }))}
          />
          <section id="knowledge">
            <h2>Diagnosis knowledge</h2>
            <Link className="act-link" href="/shop/knowledge">
              Faults and signs, and our own additions
            </Link>
          </section>
          <section>
            <h2>Suppliers</h2>
            <Link className="act-link" href="/stores/suppliers">
              Who we order from
            </Link>
          </section>
          <section id="data">
            <h2>Data</h2>
            <p className="flex flex-wrap gap-x-6 gap-y-1">
              <Link className="act-link" href="/shop/bring-in">
                Bring in from a spreadsheet
              </Link>
              <a className="act-link" href="/shop/shop.zip" download>
                Take everything out, as one file
              </a>
            </p>
          </section>
          <Backups {...shownBackups()} backUp={backUpNow} restore={restoreCopy} />
          <section id="instruments">
            <h2>Instruments</h2>
            <ul>
              {Object.values(instruments).map(({ id, name, uncertainty }) => (
                <li key={id} className="rule-row py-1">
                  {name.charAt(0).toUpperCase() + name.slice(1)}{" "}
                  {settings.simulated ? (
                    <span className="simulated">simulated</span>
                  ) : (
                    "none connected: readings are typed, or taken from a file"
                  )}{" "}
                  <span className="text-note">{uncertainty}</span>
                </li>
              ))}
              <li className="rule-row py-1">
                Suppliers' order desk{" "}
                {settings.simulated ? <span className="simulated">simulated</span> : "none: orders go by paper, table or mail"}
              </li>
              <li className="rule-row py-1">Tag scanner: any keyboard-type scanner</li>
            </ul>
          </section>
        </div>
      </div>
    </Sheet>
  );
}
