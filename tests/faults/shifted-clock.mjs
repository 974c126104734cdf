// Loaded before a server: its clock runs so many milliseconds before or behind this computer's.
const by = Number(process.env.ZORBEK_TEST_CLOCK ?? 0);
const Real = Date;
const now = () => Real.now() + by;
globalThis.Date = new Proxy(Real, {
  construct: (_, of, as) => Reflect.construct(Real, of.length ? of : [now()], as),
  apply: () => new Real(now()).toString(),
  get: (_, name) => (name === "now" ? now : Reflect.get(Real, name)),
});
