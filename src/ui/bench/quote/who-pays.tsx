import { type WhoPays as Payer, whoPays, whoPaysIds } from "@/core/vocabulary/who-pays";
import { useAct } from "@/ui/act/use-act";
import { Refused } from "@/ui/controls/refused";

/** Who pays for a reel that came back: chosen before anything is opened, or once it is open. */
export function WhoPays({ jobId, pays }: { jobId: number; pays: Payer }) {
  const paying = useAct("who-pays");
  return (
    <fieldset className="mt-2">
      <legend className="text-note font-normal">It came back: who pays</legend>
      <div className="flex flex-wrap gap-2">
        {whoPaysIds.map((id) => (
          <button
            key={id}
            type="button"
            className="key key-small"
            aria-pressed={pays === id}
            disabled={paying.busy}
            onClick={() => paying.press({ jobId, pays: id })}
          >
            {whoPays[id]}
          </button>
        ))}
      </div>
      <Refused of={[paying]} />
    </fieldset>
  );
}
