import Link from "next/link";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";
import type { ReturnProps } from "./return-props";

/** What goes over the counter with the reel: what came with it, its papers, and what is said while it is handed over. */
export function HandOver({ props }: { props: ReturnProps }) {
  const { head, brought, told, hasDrag, nextOn, due, reelId } = props;
  const ticking = useAct("tick");
  return (
    <section className="flex flex-col gap-3">
      <h2>Hand over</h2>
      {brought.length > 0 && (
        <div className="flex flex-col gap-2" role="group" aria-label="Came with it">
          {brought.map((item) => (
            <Key
              key={item.id}
              pressed={item.given}
              disabled={head.closed}
              onPress={() => ticking.press({ jobId: head.jobId, item: item.id, given: !item.given })}
              className="justify-between"
            >
              {item.words}
              <span>{item.given ? "given back ✓" : "came with it, still here"}</span>
            </Key>
          ))}
        </div>
      )}
      <Refused of={[ticking]} />
      <a className="key" href={`/bench/${head.tag}/report.pdf`} target="_blank" rel="noreferrer">
        {head.closed ? "Report" : "Report so far"}
      </a>
      <div className="grid grid-cols-2 gap-2">
        <a className="key key-small" href={`/bench/${head.tag}/short.pdf`} target="_blank" rel="noreferrer">
          Short report
        </a>
        <a className="key key-small" href={`/bench/${head.tag}/service.ics`}>
          Calendar file
        </a>
        <a className="key key-small" href={`/bench/${head.tag}/record.html`}>
          Full record (one file)
        </a>
        <Link className="key key-small" href={`/ledger/reel/${reelId}`}>
          Reel history
        </Link>
      </div>
      <h3 className="font-semibold">Tell the customer</h3>
      {told.length > 0 && (
        <ul className="border-l-4 border-ink pl-2" aria-label="Tell the customer">
          {told.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <p>{hasDrag ? "Back off the drag for storage, wipe down" : "Wipe down"}, film of oil on bare metal.</p>
      <p>Next service: {nextOn}</p>
      <ul className="text-note">
        {due.map(({ id, words }) => (
          <li key={id}>{words}</li>
        ))}
      </ul>
    </section>
  );
}
