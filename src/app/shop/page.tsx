import Link from "next/link";
import { currentPerson } from "@/app/server/person";
import { readPage } from "@/app/server/reading";
import { instruments } from "@/core/proving/read-trace";
import { listPeople } from "@/data/shop/people";
import { getShopSettings, seenSettings } from "@/data/shop/settings";
import { listBackups } from "@/data/store/backup";
import { dataDirectory } from "@/data/store/database";
import { instantWords } from "@/ui/dates";
import { CornerBlock, Sheet } from "@/ui/sheets/sheet";
import { Backups } from "@/ui/shop/backups";
import { PersonForm } from "@/ui/shop/person-form";
import { ShopForm } from "@/ui/shop/shop-form";
import { addShopPerson, choosePerson, saveSettings } from "./actions";
import { backUpNow, restoreCopy } from "./backup-actions";

export const metadata = { title: "Shop" };

/** The copies as they are shown, and how old the newest is. */
function shownBackups() {
  const copies = listBackups(dataDirectory());
  const days = copies[0] ? (Date.now() - Date.parse(copies[0].at)) / 86_400_000 : null;
  return {
    copies: copies.map(({ name, at, bytes }) => ({ name, words: `${instantWords(at)}, ${(bytes / 1024 ** 2).toFixed(1)} MB` })),
    age:
      days === null
        ? "No copy yet. The first is made within an hour of the start, then one a day."
        : `The newest is of ${instantWords(copies[0]!.at)}; ${copies.length} kept.${days >= 7 ? " That is more than a week: back up now." : ""}`,
    alarm: days !== null && days >= 7,
  };
}

export default async function ShopPage() {
  const db = await readPage("shop");
  const me = await currentPerson(db);
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
      <div className="grid gap-10 lg:grid-cols-[1fr_1fr]">
        <ShopForm settings={settings} seen={seenSettings(settings)} save={saveSettings} />
        <div className="flex flex-col gap-6">
          <section id="people">
            <h1>Who is at the bench</h1>
            <form action={choosePerson} className="mt-2 flex flex-wrap gap-2">
              {listPeople(db).map((person) => (
                <button key={person.id} type="submit" name="person" value={person.id} className="key" aria-pressed={person.id === me.id}>
                  {person.name} <span className="text-note font-normal">{person.role}</span>
                </button>
              ))}
            </form>
            <PersonForm add={addShopPerson} />
          </section>
          <section>
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
          <section>
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
          <section>
            <h2>Instruments</h2>
            <ul>
              {Object.values(instruments).map(({ id, name, uncertainty }) => (
                <li key={id} className="rule-row py-1">
                  {name.charAt(0).toUpperCase() + name.slice(1)} <span className="simulated">simulated</span>{" "}
                  <span className="text-note">{uncertainty}</span>
                </li>
              ))}
              <li className="rule-row py-1">
                Suppliers' order desk <span className="simulated">simulated</span>
              </li>
              <li className="rule-row py-1">Tag scanner: any keyboard-type scanner</li>
            </ul>
          </section>
        </div>
      </div>
    </Sheet>
  );
}
