import type { Seeded } from "./seeded";

/** Invented given names and the two halves of invented family names: a book of thousands without a person in it. */
const given =
  "Wenna Odo Brindle Jory Maren Tobin Ilse Corwen Perrin Isolt Dunstan Merrily Hob Linnet Garrick Sorrel Alder Tamsy Nye Briony Fenn Lowen Kester Rosen Bram Elowen Ode Thisbe Wick Marl Hesper Joss Avice Brock Delwyn Quill Ansel Verity Cade Oriel Lark Rafe Sable Tarn Una Wystan Yarrow Zeb".split(
    " ",
  );
const first =
  "Harrow Pellin Oka Tam Quist Mars Fell Thorn Brack Wether Sallow Kelm Dray Corn Reed Hax Lode Stan Wick Mere Orl Pask Tull Vane Grist Hobb Ingle Jarr Lamb Nett".split(
    " ",
  );
const second = "gate or by sin well mere combe low hurst wick stow bury ham dale ford ley field thwaite shaw croft".split(" ");
const boats = "Charters;Boat Hire;Angling Club;Sailing School;Lake Ferry;Estuary Guides".split(";");

export interface InventedCustomer {
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
}

/** People of the book, none named twice; now and then a boat or a club. Addresses end in .example (RFC 2606), where nobody is written to. */
export function inventedCustomers(random: Seeded, count: number, taken: ReadonlySet<string>): InventedCustomer[] {
  const seen = new Set(taken);
  return Array.from({ length: count }, (_, i) => {
    for (;;) {
      const family = random.pick(first) + random.pick(second);
      const name = random.chance(0.05) ? `${family} ${random.pick(boats)}` : `${random.pick(given)} ${family}`;
      const unlike = seen.has(name) ? `${name} ${["the younger", "of the mill", "of the quay", "of the lock"][i % 4]}` : name;
      if (seen.has(unlike)) continue;
      seen.add(unlike);
      return {
        name: unlike,
        phone: `0555 ${String(1000 + i).padStart(4, "0")}`,
        email: random.chance(0.6) ? `${unlike.toLowerCase().replaceAll(/[^a-z]+/g, ".")}@post.example` : "",
        address:
          i % 3 === 2
            ? ""
            : `${i + 1} ${["Strand Row", "Weir Bank", "Cooper Row", "Staithe Lane"][i % 4]}, ${["Saltmere Quay", "Upper Mere"][i % 2]}`,
      };
    }
  });
}
