import type { StuckHelp } from "@/core/hands/stuck";

/** A part that does not go in: why it may sit fast, how to hold it. */
export function StuckAtBuild({ help, name }: { help: StuckHelp; name: string }) {
  return (
    <section className="mt-2 border border-ink p-2" aria-label="Stuck">
      <p className="font-semibold">{name} will not go in: stop, do not force it.</p>
      <ul className="list-disc pl-5">
        {help.causes.map((cause) => (
          <li key={cause}>{cause.charAt(0).toUpperCase() + cause.slice(1)}</li>
        ))}
      </ul>
      <p>{help.hold.join(" ")}</p>
    </section>
  );
}
