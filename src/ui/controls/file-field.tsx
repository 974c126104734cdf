"use client";

interface Props {
  readonly label: string;
  readonly accept: string;
  readonly onText: (text: string, name: string) => void;
}

/** Chooses a text file and hands its text on; the same file can be chosen again after it was mended. */
export function FileField({ label, accept, onText }: Props) {
  return (
    <input
      type="file"
      accept={accept}
      aria-label={label}
      onChange={async (event) => {
        const input = event.currentTarget;
        const file = input.files?.[0];
        if (!file) return;
        onText(await file.text(), file.name);
        input.value = "";
      }}
    />
  );
}
