import { redirect } from "next/navigation";
import { getDb } from "@/app/server/db";
import { whoAsks } from "@/app/server/person";
import { ownAddress } from "@/core/sign-in/own-address";
import { listPeople } from "@/data/shop/people";
import { secretsOf } from "@/data/sign-in/secrets";
import { Sheet } from "@/ui/sheets/sheet";
import { ChooseHere, SignIn, Wake } from "@/ui/shop/sign-in-forms";
import { chooseHere, comeIn, wake } from "./actions";

export const metadata = { title: "Sign in" };

/** Where somebody becomes somebody: by PIN on this computer, by name and passphrase elsewhere, by PIN again after a rest. */
export default async function SignInPage({ searchParams }: { searchParams: Promise<{ then?: string }> }) {
  const then = ownAddress((await searchParams).then);
  const db = getDb();
  const asks = await whoAsks(db);
  if (asks.person) redirect(then);
  return (
    <Sheet fill>
      {asks.lacks === "server" && (
        <>
          <h1>Zorbek was not started by its own server</h1>
          <p className="mt-2">Start it with npm start, and open the address it prints.</p>
        </>
      )}
      {asks.lacks === "choice" && (
        <ChooseHere
          then={then}
          people={listPeople(db).map(({ id, name, role }) => ({ id, name, role, pin: secretsOf(db, id).pin }))}
          choose={chooseHere}
        />
      )}
      {asks.lacks === "sign-in" && <SignIn then={then} come={comeIn} />}
      {asks.lacks === "rest" && <Wake then={then} wake={wake} />}
    </Sheet>
  );
}
