import { getDb } from "@/app/server/db";
import { fromSocket } from "@/app/server/socket";
import { joinIn } from "@/app/sign-in/actions";
import { getShopSettings } from "@/data/shop/settings";
import { invitedPerson } from "@/data/sign-in/invitations";
import { Sheet } from "@/ui/sheets/sheet";
import { Join } from "@/ui/shop/sign-in-forms";

export const metadata = { title: "Sign in" };

/** Where the QR at Shop leads: a phone comes in as somebody, once. */
export default async function JoinPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const db = getDb();
  const from = await fromSocket();
  const person = from?.over === "network" && token.length < 80 ? invitedPerson(db, token, new Date().toISOString()) : null;
  return (
    <Sheet fill>
      {person ? (
        <Join token={token} name={person.name} shop={getShopSettings(db).shopName} join={joinIn} />
      ) : (
        <>
          <h1>This invitation is no longer valid</h1>
          <p className="mt-2">It has been used or is more than ten minutes old. Make a new one at Shop on the bench computer.</p>
        </>
      )}
    </Sheet>
  );
}
