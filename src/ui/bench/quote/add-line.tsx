import { ActForm, FormSend, FormText } from "@/ui/controls/form";

/** A line of the shop's own: postage, something unusual, something taken off. */
export function AddLine({ jobId }: { readonly jobId: number }) {
  return (
    <details>
      <summary className="act-link min-h-10">Add a line (postage, extras)</summary>
      <ActForm
        act="job-line"
        label="Extra line on the quote"
        className="flex flex-wrap items-end gap-2"
        values={{ words: "Postage", priceMinor: "" }}
        also={{ jobId }}
        empties
      >
        <FormText name="words" label="For" />
        <FormText name="priceMinor" label="Amount before tax" figures />
        <FormSend>Add it</FormSend>
      </ActForm>
    </details>
  );
}
