import { PutBack } from "./put-back";

interface Props {
  readonly message: string;
  readonly remedy: string;
  readonly copies: readonly { readonly name: string; readonly words: string }[];
  readonly putBack: (said: string, form: FormData) => Promise<string>;
}

/** Without data there are no rooms: one page says what is wrong with it and what to do. It needs nothing of the data. */
export function Unusable({ message, remedy, copies, putBack }: Props) {
  return (
    <html lang="en">
      <body>
        <main className="p-4">
          <section className="sheet p-4">
            <h1>Zorbek cannot work with this data</h1>
            <p className="mt-2">{message}</p>
            <p className="mt-2 font-semibold">{remedy}</p>
            {copies.length > 0 && <PutBack copies={copies} putBack={putBack} />}
          </section>
        </main>
      </body>
    </html>
  );
}
