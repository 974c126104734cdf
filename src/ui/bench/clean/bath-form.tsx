import { cleanMethods } from "@/core/cleaning/methods";
import type { Soak } from "@/core/cleaning/soak";
import type { CleanMethod } from "@/core/vocabulary/clean-methods";
import { Field } from "@/ui/controls/field";
import { TextField } from "@/ui/controls/text-field";

interface Bath {
  readonly minutes: string;
  readonly intoSoakId: number | null;
  readonly mark: string;
}

interface Props {
  readonly method: CleanMethod;
  readonly modelId: string;
  /** Baths of this method that run now. */
  readonly soaks: readonly Soak[];
  readonly bath: Bath;
  readonly minutes: number;
  readonly errors: Readonly<Record<string, string>>;
  readonly onChange: (change: Partial<Bath>) => void;
}

/** How long, in which basket, and what marks these where a like reel's parts lie in it. */
export function BathForm({ method, modelId, soaks, bath, minutes, errors, onChange }: Props) {
  const chosen = soaks.find(({ id }) => id === bath.intoSoakId);
  return (
    <div className="mb-4 flex flex-col gap-2">
      <TextField
        label={`Minutes (usual: ${cleanMethods[method].soakMinutes}, a rule of thumb)`}
        value={bath.minutes || String(minutes)}
        error={errors.minutes}
        onType={(text) => onChange({ minutes: text })}
      />
      {soaks.length > 0 && (
        <Field label="Basket" error={errors.intoSoakId}>
          {(field) => (
            <select
              {...field}
              value={bath.intoSoakId ?? ""}
              onChange={(event) => onChange({ intoSoakId: event.target.value ? Number(event.target.value) : null })}
            >
              <option value="">its own basket</option>
              {soaks.map((soak) => (
                <option key={soak.id} value={soak.id}>
                  with {soak.jobs.map(({ tag }) => tag).join(", ")}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      {chosen && (
        <TextField
          label={
            chosen.jobs.some((job) => job.modelId === modelId)
              ? "A similar reel is in it: how will you tell the parts apart?"
              : "How you will tell them apart (optional: different kind of reel)"
          }
          value={bath.mark}
          error={errors.mark}
          onType={(mark) => onChange({ mark })}
        />
      )}
    </div>
  );
}
