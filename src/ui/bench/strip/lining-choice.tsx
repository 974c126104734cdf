"use client";
import type { PartType } from "@/core/anatomy/types";
import { mayBeAsbestos, readLiningMaterial } from "@/core/safety/linings";
import { type LiningMaterial, liningMaterialIds } from "@/core/vocabulary/lining-materials";
import { useAct } from "@/ui/act/use-act";
import { Field } from "@/ui/controls/field";
import { Refused } from "@/ui/controls/refused";

interface Props {
  readonly jobId: number;
  readonly closed: boolean;
  readonly positionId: string;
  readonly type: PartType;
}

/** What a friction lining is made of, chosen where it is warned of; nothing for any other part. */
export function LiningChoice({ jobId, closed, positionId, type }: Props) {
  const act = useAct("say-lining");
  if (type.shape.kind !== "friction-washer") return null;
  const doubtful = mayBeAsbestos(type);
  return (
    <div className="mt-2">
      <Field
        label="What is this lining made of?"
        error={act.fields.material}
        hint={doubtful ? "It stays dry and untouched until its material is proven." : undefined}
      >
        {(field) => (
          <select
            {...field}
            disabled={closed || act.busy}
            value={doubtful ? "asbestos or not known" : readLiningMaterial(type.material)}
            onChange={(event) => act.press({ jobId, positionId, material: event.target.value as LiningMaterial })}
          >
            {liningMaterialIds.map((material) => (
              <option key={material}>{material}</option>
            ))}
          </select>
        )}
      </Field>
      <Refused of={[act]} beside />
    </div>
  );
}
