"use server";
import { cookies } from "next/headers";
import { z } from "zod";
import { defineEntry } from "@/app/server/entry";
import { cookieOf } from "@/app/server/person";
import { acceptInvitation } from "@/data/sign-in/invitations";
import { choosePersonHere, signIn, wakeSession } from "@/data/sign-in/sign-in";
import type { Press } from "@/ui/act/press";

const secret = z.string().max(200);
const come = defineEntry({
  name: "sign-in",
  over: null,
  input: z.object({ name: z.string().max(80), secret }),
  run: (db, { name, secret: passphrase }, from, now, device) => signIn(db, { name, passphrase }, from, now, device),
});
export async function comeIn(press: Press) {
  return come(press);
}

const choose = defineEntry({
  name: "choose-person",
  over: "loopback",
  input: z.object({ personId: z.number().int().positive(), secret }),
  run: (db, { personId, secret: pin }, from, now) => choosePersonHere(db, { personId, pin }, from, now),
});
export async function chooseHere(press: Press) {
  return choose(press);
}

/** The session that rests, woken by its person. */
export async function wake(press: Press) {
  const token = (await cookies()).get(cookieOf("network"))?.value ?? "";
  return defineEntry({
    name: "wake",
    over: "network",
    input: z.object({ secret }),
    run: (db, input, _, now) => {
      wakeSession(db, token, input.secret, now);
      return null;
    },
  })(press);
}

const join = defineEntry({
  name: "join",
  over: "network",
  input: z.object({ token: z.string().max(80) }),
  run: (db, { token }, from, now) => acceptInvitation(db, token, from, now),
});
export async function joinIn(press: Press) {
  return join(press);
}
