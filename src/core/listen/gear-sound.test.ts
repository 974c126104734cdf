import { describe, expect, it } from "vitest";
import { addClick, addRumble, background, inRoom } from "#tests/made-sounds";
import { stream } from "#tests/random-stream";
import { gearFromSound, howSure, type Line, tell } from "./gear-sound";

const rate = 8000;
const [ratio, teeth] = [3.25, 39];
/** Ticks so many times a turn and so loud, over a dozen turns by a hand that wavers. */
function turning(seed: number, ticks: readonly (readonly [perTurn: number, loud: number])[], handleHz = 1) {
  const random = stream(seed);
  const seconds = 12 / handleHz;
  const sound = background(seconds, rate, 0.006, 0.008, random);
  for (const [perTurn, loud] of ticks)
    for (let n = 0; n < 12 * perTurn; n++) {
      const turn = n / perTurn;
      const wavering = turn + (0.03 * Math.sin(0.9 * turn)) / (2 * Math.PI);
      addClick(sound, rate, wavering / handleHz + 0.002 * random(), loud * (0.7 + 0.6 * random()), 1800);
    }
  return { sound, rate };
}
const lines = (recording: { sound: Float64Array; rate: number }, gearTeeth: number | null = teeth, turns = 12) => {
  const heard = gearFromSound(recording, turns, ratio, gearTeeth);
  if (!heard.ok) throw new Error(heard.message);
  return heard.value;
};

/** Plucked notes of a scale with their overtones and a soft drum, so many beats a second. */
function tune(seed: number, beatHz: number, drum: number) {
  const random = stream(seed);
  const sound = background(12, rate, 0.004, 0.004, random);
  const notes = [220, 247, 262, 294, 330, 349, 392, 440, 494, 523];
  for (let beat = 0; beat < 12 * beatHz * 2; beat++) {
    const from = Math.floor((beat / (2 * beatHz)) * rate);
    const [hz, loud] = [notes[Math.floor(random() * notes.length)]!, beat % 4 === 0 ? 0.25 : 0.14];
    for (let k = 0; k < (0.9 * rate) / beatHz && from + k < sound.length; k++)
      for (let overtone = 1; overtone <= 5; overtone++)
        sound[from + k]! +=
          ((loud * Math.min(1, k / 40) * Math.exp((-4 * k) / rate)) / overtone) * Math.sin((2 * Math.PI * hz * overtone * k) / rate);
    if (beat % 2 === 0)
      for (let k = 0; k < 400 && from + k < sound.length; k++) sound[from + k]! += drum * Math.exp(-k / 60) * (random() - 0.5);
  }
  return { sound, rate };
}

describe("music", () => {
  it.each([0.5, 1, 2, 3.25])("is no gear, whatever its beat: %f a second", (beatHz) => {
    for (const seed of [1, 2, 3])
      for (const drum of [0, 0.1])
        expect(gearFromSound(tune(seed, beatHz, drum), 12, ratio, teeth), `seed ${seed} drum ${drum}`).toMatchObject({
          ok: false,
          code: "tones",
        });
  });
});

describe("the chatter of a gear", () => {
  it("is told from both a tick of the gear's and one of the pinion's at once, by its spectrum where nothing can be counted", () => {
    for (const seed of [1, 2, 3]) {
      const heard = lines(
        turning(seed, [
          [1, 0.1],
          [ratio, 0.15],
        ]),
      );
      expect(heard.lines[0]!.order, `seed ${seed}`).toBe(ratio);
      expect(heard.lines[0]!.says).toMatch(/one tooth of the pinion/);
      expect(heard.lines[0]!.overFloorDb).not.toBe(24);
      expect(heard.sure).toBe("sure");
    }
  });

  it("is one tooth's where its ticks are counted, also where the pinion turns a whole number of times for one turn of it", () => {
    // Its overtones stand at every order there is.
    for (const whole of [4, 5])
      for (const seed of [1, 2, 3]) {
        const heard = gearFromSound(turning(seed, [[1, 0.15]]), 12, whole, null);
        if (!heard.ok) throw new Error(heard.message);
        expect(heard.value.lines[0]!.order).toBe(1);
        expect(heard.value.sure).toBe("sure");
        for (const { overFloorDb } of heard.value.lines.slice(1)) expect(overFloorDb).toBeLessThanOrEqual(16);
      }
  });

  it("is told through the rumble of a room that gives every tick back", () => {
    for (const [perTurn, seed] of [1, ratio].flatMap((each) => [1, 2, 3, 4].map((of) => [each, of] as const))) {
      const { sound } = turning(seed, [
        [perTurn, 0.15],
        [teeth, 0.01],
      ]);
      addRumble(sound, 0.01, stream(seed + 50));
      const roomy = inRoom(sound, rate, [
        [0.013, 0.3],
        [0.037, 0.2],
      ]);
      expect(lines({ sound: roomy, rate }).lines[0]!.order, `${perTurn} a turn, seed ${seed}`).toBe(perTurn);
    }
  });

  it("is looked for in the spectrum at the hand's own speed", () => {
    for (const handleHz of [0.6, 1.7]) {
      const both = turning(
        2,
        [
          [1, 0.1],
          [ratio, 0.15],
        ],
        handleHz,
      );
      expect(lines(both).lines[0]!.order, `${handleHz} turns a second`).toBe(ratio);
      expect(lines(turning(2, [[teeth, 0.03]], handleHz)).lines[0]!.order).toBe(teeth);
    }
  });

  it("is the mesh where every tooth ticks, which is named after any single tooth", () => {
    for (const seed of [1, 2, 3]) {
      const mesh = lines(turning(seed, [[teeth, 0.03]]));
      expect(mesh.lines.map(({ order }) => order)).toEqual([teeth]);
      expect(mesh.lines[0]!.says).toMatch(/the whole mesh/);
      const both = lines(
        turning(seed, [
          [1, 0.1],
          [ratio, 0.15],
          [teeth, 0.03],
        ]),
      );
      // Louder than the single tooth, and named after it.
      expect(both.lines[0]!.order).toBe(ratio);
      expect(both.lines.at(-1)!.order).toBe(teeth);
      expect(both.lines.at(-1)!.overFloorDb).toBeGreaterThan(both.lines[0]!.overFloorDb);
    }
  });

  it("is not looked for at the teeth where nobody counted them", () => {
    expect(gearFromSound(turning(1, [[teeth, 0.03]]), 12, ratio, null)).toMatchObject({ ok: false, code: "even" });
    expect(lines(turning(1, [[1, 0.15]]), null).lines.every(({ order }) => order === 1 || order === ratio)).toBe(true);
  });

  it("is followed at the hand's own speed, which is turns by seconds", () => {
    for (const handleHz of [0.6, 2]) {
      const heard = lines(turning(4, [[1, 0.15]], handleHz));
      expect(heard.handleHz).toBeCloseTo(handleHz, 9);
      expect(heard.lines[0]).toMatchObject({ order: 1, overFloorDb: 24 });
      expect(heard.lines[0]!.says).toMatch(/one tooth of the gear/);
    }
  });

  it("is refused for what no hand turns, with what to do", () => {
    const recording = turning(1, [[1, 0.15]]);
    const refused = (turns: number, by = ratio) => {
      const heard = gearFromSound(recording, turns, by, teeth);
      return heard.ok ? null : heard;
    };
    expect(refused(3.9)).toMatchObject({ code: "few-turns", message: expect.stringMatching(/at least four times/) });
    expect(refused(Number.NaN)).toMatchObject({ code: "few-turns" });
    expect(refused(4)?.code).not.toBe("few-turns");
    for (const by of [0.49, 12.1, Number.NaN])
      expect(refused(12, by)).toMatchObject({ code: "ratio", message: expect.stringMatching(/0\.5 to 12/) });
    for (const by of [0.5, 12]) expect(refused(12, by)?.code).not.toBe("ratio");
    // Twelve seconds: 72 turns are six a second.
    expect(refused(73)).toMatchObject({ code: "speed", message: expect.stringMatching(/once a second/) });
    expect(refused(72)?.code).not.toBe("speed");
    const slow = { sound: background(25, rate, 0.02, 0.01, stream(1)), rate };
    expect(gearFromSound(slow, 4.9, ratio, teeth)).toMatchObject({ ok: false, code: "speed" });
    expect(gearFromSound(slow, 5, ratio, teeth)).toMatchObject({ ok: false, code: "even", message: expect.stringMatching(/stands out/) });
    expect(gearFromSound({ sound: slow.sound.subarray(0, 2.9 * rate), rate }, 4, ratio, teeth)).toMatchObject({ code: "too-short" });
  });
});

describe("a gear whose mesh is heard as well", () => {
  /** Every tooth ticks, louder on one side of the turn by what the hand presses harder there; one tooth louder than the others, or none. */
  const pressed = (seed: number, harder: number, tooth: number) => {
    const random = stream(seed);
    const sound = background(12, rate, 0.006, 0.008, random);
    for (let n = 0; n < 12 * teeth; n++) {
      const turn = n / teeth;
      const at = turn + (0.05 * (Math.sin(0.9 * turn) + Math.sin(2 * Math.PI * turn))) / (2 * Math.PI);
      addClick(sound, rate, at + 0.002 * random(), 0.03 * (1 + harder * Math.sin(2 * Math.PI * turn)) * (0.7 + 0.6 * random()), 1800);
    }
    if (tooth) for (let n = 0; n < 12; n++) addClick(sound, rate, n + 0.002 * random(), tooth * (0.7 + 0.6 * random()), 1800);
    return { sound, rate };
  };

  it("has its one louder tooth told, in nine of ten recordings and more", () => {
    let told = 0;
    for (let seed = 1; seed <= 10; seed++) if (lines(pressed(seed, 0.3, 0.11)).lines[0]!.order === 1) told++;
    expect(told).toBeGreaterThanOrEqual(9);
  });

  it("has no tooth taken for a hand that presses harder once a turn, and is not sure of a mesh alone", () => {
    for (let seed = 1; seed <= 10; seed++) {
      const heard = lines(pressed(seed, 0.6, 0));
      expect(
        heard.lines.map(({ order }) => order),
        `seed ${seed}`,
      ).toEqual([teeth]);
      expect(heard.sure).toBe("likely");
      expect(heard.lines[0]!.says).toMatch(/as every gear is heard/);
    }
  });
});

describe("what is told of lines", () => {
  const line = (order: number, overFloorDb: number, counted = false): Line => ({ order, overFloorDb, counted, says: `order ${order}` });
  const shown = (order: number, overFloorDb: number) => ({ order, overFloorDb, says: `order ${order}` });

  it("is the higher of gear and pinion, then the other, then the mesh, those alone that stand high enough", () => {
    expect(tell(line(1, 14), line(5, 20), line(60, 30))).toEqual({ lines: [shown(5, 20), shown(1, 14), shown(60, 30)], sure: "likely" });
    expect(tell(line(1, 20.1), line(5, 14), line(60, 11.9))).toEqual({ lines: [shown(1, 20.1), shown(5, 14)], sure: "sure" });
    expect(tell(line(1, 12), line(5, 11.9), null)).toEqual({ lines: [shown(1, 12)], sure: "unsure" });
    expect(tell(line(1, 11.9), line(5, Number.NEGATIVE_INFINITY), line(60, 11))).toBeNull();
  });

  it("is at most likely where the other stands nearly as high, heard or not", () => {
    expect(tell(line(1, 16), line(5, 11), null)!.sure).toBe("likely");
    expect(tell(line(1, 18), line(5, 11), null)!.sure).toBe("sure");
  });

  it("is no surer of a mesh alone than likely", () => {
    expect(tell(line(1, 3), line(5, 2), line(60, 40, true))).toEqual({ lines: [shown(60, 40)], sure: "likely" });
  });

  it("is first what was counted; what the other shows beside it are its overtones", () => {
    expect(tell(line(1, 24, true), line(5, 27), null)).toEqual({ lines: [shown(1, 24), shown(5, 16)], sure: "sure" });
    expect(tell(line(1, 27), line(5, 24, true), null)!.lines).toEqual([shown(5, 24), shown(1, 16)]);
    expect(tell(line(1, 24, true), line(5, 8), null)!.lines).toEqual([shown(1, 24)]);
    expect(tell(line(1, 24, true), line(5, 24, true), null)).toEqual({ lines: [shown(1, 24), shown(5, 24)], sure: "likely" });
  });
});

describe("how sure a line is", () => {
  it("is by how high it stands over its floor, and over the next", () => {
    expect(howSure(15.1, 6.1)).toBe("sure");
    expect(howSure(15, 20)).toBe("likely");
    expect(howSure(20, 6)).toBe("likely");
    expect(howSure(12.1, 1)).toBe("likely");
    expect(howSure(12, 12)).toBe("unsure");
  });
});
