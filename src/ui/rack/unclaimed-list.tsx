"use client";
import Link from "next/link";
import { textMessages } from "@/core/messages/text-messages";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { PhoneNumber } from "@/ui/controls/phone-number";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly reels: readonly {
    readonly jobId: number;
    readonly tag: string;
    readonly reel: string;
    readonly customer: string;
    readonly phone: string;
    readonly readyOn: string;
    readonly toldOn: string | null;
  }[];
  readonly shop: string;
}

/** Reels that hang ready and nobody fetches: whom to call, and when somebody did last. */
export function UnclaimedList({ reels, shop }: Props) {
  const act = useAct("told-to-fetch");
  return (
    <section aria-label="Not collected" className="mt-3">
      <h2>Ready for two weeks, not collected</h2>
      <Refused of={[act]} />
      <ul>
        {reels.map((one) => (
          <li key={one.jobId} className="rule-row flex flex-wrap items-center gap-x-4">
            <Link className="act-link num inline-flex min-h-10 items-center" href={`/bench/${one.tag}/return`}>
              {one.tag}
            </Link>
            <span>
              {one.customer}, <PhoneNumber phone={one.phone} of={one.customer} message={textMessages.ready({ ...one, shop })} />: {one.reel}
              , ready since {one.readyOn}
              {one.toldOn ? `, notified ${one.toldOn}` : ", not notified yet"}
            </span>
            <Key
              className="key-small ml-auto"
              busy={act.busy}
              label={`Notified ${one.customer} today`}
              onPress={() => act.press({ jobId: one.jobId })}
            >
              Notified today
            </Key>
          </li>
        ))}
      </ul>
    </section>
  );
}
