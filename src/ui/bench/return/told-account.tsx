import type { ReturnProps } from "./return-props";

const headings = { found: "Found", done: "Done", watch: "Watch" } as const;

const Told = ({ words }: { words: readonly string[] }) => (
  <ul>
    {words.map((sentence) => (
      <li key={sentence}>{sentence}</li>
    ))}
  </ul>
);

/** What was found and done, in the report's own words: what is said across the counter first. */
export function ToldAccount({ account }: Pick<ReturnProps, "account">) {
  const told = (["found", "done", "watch"] as const).filter((section) => account[section].length > 0);
  if (!told.length && !account.oilAndChecks.length) return <p>Nothing was found or done yet.</p>;
  return (
    <>
      {told.map((section) => (
        <div key={section} className="mt-2">
          <h3 className="font-semibold">{headings[section]}</h3>
          <Told words={account[section]} />
        </div>
      ))}
      {account.oilAndChecks.length > 0 && (
        // Of a reel that was not opened it is all there is to say.
        <details className="mt-2" open={told.length === 0}>
          <summary className="act-link min-h-10">Oil, grease and checks</summary>
          <Told words={account.oilAndChecks} />
        </details>
      )}
    </>
  );
}
