"use client";
import { useState } from "react";
import { type Palette, palettes } from "@/core/vocabulary/palettes";

const words: Readonly<Record<Palette, string>> = { device: "As this device", light: "Light", dim: "Dim" };

/** How bright the pages of this device are: its own setting, or one of the two. Kept on the device alone. */
export function PaletteChoice({ now }: { now: Palette }) {
  const [palette, setPalette] = useState(now);
  return (
    <fieldset>
      <legend>Brightness of this screen</legend>
      <div className="mt-1 flex flex-wrap gap-3">
        {palettes.map((one) => (
          <button
            key={one}
            type="button"
            className="key key-small"
            aria-pressed={one === palette}
            onClick={() => {
              document.cookie = `palette=${one}; path=/; max-age=31536000; samesite=strict`;
              document.documentElement.dataset.palette = one;
              setPalette(one);
            }}
          >
            {words[one]}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
