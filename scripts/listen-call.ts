import { z } from "zod";
import { clickFromSound, compareClicks } from "@/core/listen/click-sound";
import { gearFromSound } from "@/core/listen/gear-sound";
import type { Recording } from "@/core/listen/recording";
import { spinFromSound } from "@/core/listen/spin-sound";
import { waveSound } from "@/formats/wave-sound";
import { call } from "./call-of";

/** Samples of a WAV file given as base64; the first channel of several. */
const wav = z
  .base64({ error: "a WAV file, as base64" })
  .max(60_000_000, "At most some 40 MB of sound.")
  .transform((text, ctx): Recording => {
    const recording = waveSound(Buffer.from(text, "base64"));
    if (recording) return recording;
    ctx.addIssue({ code: "custom", message: "This is no WAV file that can be read: save it as ordinary PCM." });
    return z.NEVER;
  });

/** What a recording says, or why it cannot carry it. */
export const listen = call(
  z.discriminatedUnion("what", [
    z.strictObject({ what: z.literal("spin"), wav, marksPerTurn: z.number().int().min(1).max(100).default(1) }),
    /** With a second recording, taken before at the same distance, the two are compared. */
    z.strictObject({ what: z.literal("click"), wav, before: wav.optional() }),
    z.strictObject({
      what: z.literal("gear"),
      wav,
      handleTurns: z.number().positive().max(500),
      ratio: z.number().positive().max(20),
      gearTeeth: z.number().int().min(5).max(200).nullable().default(null),
    }),
  ]),
  (input) => {
    if (input.what === "spin") {
      const heard = spinFromSound(input.wav, input.marksPerTurn);
      if (!heard.ok) return { refused: heard.code, message: heard.message };
      const { pulses, fitted, fit, heardShare } = heard.value;
      const { lateS: _late, spreads: _spreads, ...told } = fit;
      return { heardShare, missed: pulses.missed, others: pulses.others, ...fitted, ...told };
    }
    if (input.what === "gear") {
      const heard = gearFromSound(input.wav, input.handleTurns, input.ratio, input.gearTeeth);
      return heard.ok ? heard.value : { refused: heard.code, message: heard.message };
    }
    const after = clickFromSound(input.wav);
    if (!after.ok) return { refused: after.code, message: after.message };
    if (!input.before) return after.value;
    const before = clickFromSound(input.before);
    if (!before.ok) return { refused: before.code, message: `Before: ${before.message}` };
    return { ...after.value, change: compareClicks(before.value, after.value) };
  },
);
