"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { ModelPreview } from "@/core/acts/library/preview-model-file";
import { useAct } from "@/ui/act/use-act";
import { FileField } from "@/ui/controls/file-field";
import { Refused } from "@/ui/controls/refused";

/** A model file is looked at first: what it would add or change is listed, and only then brought in. */
export function BringModel() {
  const router = useRouter();
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const [preview, setPreview] = useState<ModelPreview | null>(null);
  const looking = useAct("preview-model-file", setPreview);
  const bringing = useAct("bring-model-in", ({ id }) => router.push(`/library/${id}`));
  return (
    <div className="flex flex-col gap-2">
      <h2>Import a model</h2>
      <FileField
        label="Model file"
        accept="application/json,.json"
        onText={(text, name) => {
          setFile({ name, text });
          setPreview(null);
          looking.press({ text });
        }}
      />
      <Refused of={[looking, bringing]} />
      {file && preview && (
        <div className="border-2 border-ink p-3">
          <p>
            <strong>{preview.name}</strong>, {preview.seats} seats, from {file.name}.
          </p>
          {preview.known ? (
            preview.changes.length ? (
              <>
                <p>It would become the next version. Changes from the one in the library:</p>
                <ul className="max-h-40 overflow-auto">
                  {preview.changes.map((change) => (
                    <li key={`${change.what} ${change.kind} ${change.name}`} className="rule-row">
                      {change.what} {change.kind}: {change.name}{" "}
                      {change.fields.length > 0 && <span className="text-note">({change.fields.join(", ")})</span>}
                    </li>
                  ))}
                </ul>
              </>
            ) : (
              <p>Same as the version in the library: nothing to import.</p>
            )
          ) : (
            <p>New to the library.</p>
          )}
          {(!preview.known || preview.changes.length > 0) && (
            <button type="button" className="key mt-2" disabled={bringing.busy} onClick={() => bringing.press({ text: file.text })}>
              Import
            </button>
          )}
        </div>
      )}
    </div>
  );
}
