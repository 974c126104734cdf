"use client";
import { useAct } from "@/ui/act/use-act";
import { Key } from "@/ui/controls/keys";
import { Refused } from "@/ui/controls/refused";

/** A light service that met a fault: it stops here, or goes the long way. */
export function MakeRepair({ jobId }: { jobId: number }) {
  const act = useAct("make-repair");
  return (
    <div className="alarm mb-3 flex flex-wrap items-center gap-4">
      <p>There is a fault: this is more than an outside service. Your tests stay.</p>
      <Key shortcut="r" words="Make it a repair" busy={act.busy} onPress={() => act.press({ jobId })}>
        Make it a repair
      </Key>
      <Refused of={[act]} />
    </div>
  );
}
