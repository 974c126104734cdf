"use client";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";

/** A light service that met a fault: it stops here, or goes the long way. */
export function MakeRepair({ jobId }: { jobId: number }) {
  const act = useAct("make-repair");
  return (
    <div className="alarm mb-3 flex flex-wrap items-center gap-4">
      <p>This reel has a fault: it needs more than an outside service. Your tests are kept.</p>
      <Key shortcut="r" words="Change to a repair" busy={act.busy} onPress={() => act.press({ jobId })}>
        Change to a repair
      </Key>
      <Refused of={[act]} />
    </div>
  );
}
