import { startBackup } from "@/app/server/daily-backup";
import { lanAddresses } from "@/app/server/lan";
import type { shopActs } from "@/core/acts/shop/acts";
import { type RowFault, rowsOf } from "@/core/bring-in/kinds";
import { shopSettingsSchema } from "@/core/shop/settings";
import { Refusal } from "@/data/database/context";
import { addShopFault, addShopFinding, setStrength } from "@/data/diagnosis/knowledge";
import { bringIn, tryBringIn, undoBringIn } from "@/data/shop/bring-in";
import { addShutDays, removeShutDays } from "@/data/shop/opening";
import { addPerson, changePerson, retirePerson } from "@/data/shop/people";
import { saveShopSettings } from "@/data/shop/settings";
import { foundShop } from "@/data/sign-in/first-run";
import { invite } from "@/data/sign-in/invitations";
import { setSecret } from "@/data/sign-in/secrets";
import { endSession } from "@/data/sign-in/sessions";
import { qrPath } from "@/formats/qr-path";
import type { RunsOf } from "./runs";

export const shopRuns: RunsOf<typeof shopActs> = {
  // What is empty in the list has no price of its own.
  "save-settings": (ctx, { seen, ...input }) => saveShopSettings(ctx, shopSettingsSchema.parse(JSON.parse(JSON.stringify(input))), seen),

  "add-shut-days": (ctx, input) => addShutDays(ctx, input),

  "remove-shut-days": (ctx, { id }) => removeShutDays(ctx, id),

  "add-person": (ctx, input) => addPerson(ctx, input),

  "change-person": (ctx, { seen, ...input }) => changePerson(ctx, input, seen),

  "retire-person": (ctx, { id, retired }) => retirePerson(ctx, id, retired),

  "set-secret": (ctx, { personId, kind, ...said }) => setSecret(ctx, personId, kind, said),

  "end-session": (ctx, { id }) => endSession(ctx, id),

  // The address a phone opens, drawn as a QR: nobody has to type it.
  "invite-phone": (ctx, { personId }) => {
    const [lan] = lanAddresses();
    if (!lan) throw new Refusal("no-lan", "This server was started for this computer alone. Stop it and start it with: npm start -- --lan");
    const { token, until } = invite(ctx, personId);
    const address = `${lan}/join/${token}`;
    return { address, drawn: qrPath(address), until };
  },

  "add-fault": (ctx, input) => addShopFault(ctx, input),

  "add-sign": (ctx, input) => addShopFinding(ctx, input),

  "say-strength": (ctx, input) => setStrength(ctx, input.faultId, input.findingId, input.strength, input.note),
  // All of them or none: what does not go is said row by row, and nothing is written.
  "bring-in": {
    // A copy first, unless it was chosen to go without; what does not go for itself is said before anything is copied.
    before: async ({ uncopied, kind, rows, columns, leaveOut }) =>
      uncopied || (!leaveOut && rowsOf(kind, rows, columns).faults.length) || (await startBackup("before-import"))
        ? null
        : { noCopy: true },
    run: (ctx, input) => {
      const lines = input.lines?.length === input.rows.length ? input.lines : input.rows.map((_, i) => i + 2);
      const { rows, faults } = rowsOf(input.kind, input.rows, input.columns, lines);
      if (faults.length && !(input.leaveOut && rows.length)) return { faults };
      const numbered = rows.map((row, i) => ({ row, line: lines[i]! }));
      const left: RowFault[] = [...faults];
      // A row may lean on one that stays out, so what is left is looked at again until nothing is wrong.
      for (;;) {
        const out = new Set(left.map(({ row }) => row));
        const those = numbered.filter(({ line }) => !out.has(line));
        if (!those.length) return { faults: left };
        const beside = tryBringIn(ctx, input.kind, those);
        if (!beside.length) return { ...bringIn(ctx, input.kind, input.file, those), left };
        if (!input.leaveOut) return { faults: beside };
        left.push(...beside);
      }
    },
  },

  "undo-bring-in": (ctx, { id }) => undoBringIn(ctx, id),

  "found-shop": (ctx, input) => foundShop(ctx, input),
};
