"use client";
import type { StationTime } from "@/core/bench-time/station-time";
import { useAct } from "@/ui/act/use-act";
import { stationNames } from "@/ui/bench/stations-words";
import { LeaveField, typedNumber } from "@/ui/controls/leave-field";
import { Refused } from "@/ui/controls/refused";

/** What each station took by its own clock, to be put right where a hand knows better. */
export function StationTimes({ jobId, closed, times }: { jobId: number; closed: boolean; times: readonly StationTime[] }) {
  const act = useAct("station-minutes");
  const sum = times.reduce((minutes, time) => minutes + time.minutes, 0);
  if (!times.length) return null;
  return (
    <details className="mt-4" aria-label="Time">
      <summary className="act-link min-h-10">
        Time at the bench: <span className="num">{Math.round(sum)}</span> min
      </summary>
      <p className="text-note">Each station's clock starts at the first press and pauses after three idle minutes.</p>
      <div className="grid grid-cols-3 gap-2">
        {times.map((time) =>
          closed ? (
            <p key={time.station}>
              {stationNames[time.station]} <span className="num">{Math.round(time.minutes)}</span>
            </p>
          ) : (
            <LeaveField
              key={`${time.station} ${time.minutes}`}
              label={`${stationNames[time.station]}, min${time.corrected ? " (corrected)" : ""}`}
              value={String(Math.round(time.minutes * 10) / 10)}
              decimal
              onLeave={(text) => {
                const minutes = typedNumber(text);
                if (minutes === null || (minutes !== undefined && minutes < 0)) return "Minutes as a number, or blank to use the clock.";
                act.press({ jobId, station: time.station, minutes: minutes ?? null });
                return null;
              }}
            />
          ),
        )}
      </div>
      <Refused of={[act]} />
    </details>
  );
}
