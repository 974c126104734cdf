import type { AssemblyRow, Seat, SeatRow, TableChange, TemplateTable, Variant, VariantChoice } from "./table";

/** The choice of that id, or the usual one. */
export const choiceOf = (variant: Variant, id: string | undefined): VariantChoice =>
  variant.choices.find((choice) => choice.id === id) ?? variant.choices[0];

const placing = "place-";

function withoutSeat(seat: Seat | undefined, gone: ReadonlySet<string>): Seat {
  const kept = { ...seat };
  for (const key of ["restsOn", "heldBy", "passesThrough", "shutBy", "portBehind"] as const)
    if (kept[key]) kept[key] = kept[key].filter((id) => !gone.has(id));
  return kept;
}

/** A table with a change in it. @throws Error for a seat that is not there: only a programmer can cause that. */
export function changedTable(table: TemplateTable, change: TableChange): TemplateTable {
  const {
    parts = [],
    put = [],
    reseat = {},
    drop = [],
    operations = [],
    omit = [],
    batches = [],
    freedBy = {},
    move = [],
    assemblies = [],
  } = change;
  const gone = new Set(drop);
  const moved = new Set(put.map(({ row }) => row[0]));
  const replaced = new Set(parts.map(([id]) => id));
  const known = new Set(Object.values(table.seats).flatMap((rows) => rows.map(([id]) => id)));
  for (const id of [...drop, ...Object.keys(reseat)]) if (!known.has(id)) throw new Error(`changedTable: no seat ${id} in ${table.family}`);
  const rows: Record<string, readonly SeatRow[]> = { ...table.seats };
  for (const { row } of assemblies) rows[row[0]] ??= [];
  const seats = Object.fromEntries(
    Object.entries(rows).map(([assembly, rows]) => {
      const kept = rows
        .filter(([id]) => !gone.has(id) && !moved.has(id))
        .map(([id, name, part, seat]): SeatRow => {
          const { name: otherName, part: otherPart, ...other } = reseat[id] ?? {};
          return [id, otherName ?? name, otherPart ?? part, withoutSeat({ ...seat, ...other }, gone)];
        });
      for (const { after, assembly: into, row } of put) {
        if (into !== assembly) continue;
        const at = after === null ? -1 : kept.findIndex(([id]) => id === after);
        if (after !== null && at < 0) throw new Error(`changedTable: no seat ${after} in ${assembly} of ${table.family}`);
        kept.splice(at + 1, 0, [row[0], row[1], row[2], withoutSeat(row[3], gone)]);
      }
      for (const { seat, after } of move) {
        const from = kept.findIndex(([id]) => id === seat);
        if (from < 0) continue;
        const [row] = kept.splice(from, 1);
        kept.splice(kept.findIndex(([id]) => id === after) + 1, 0, row!);
      }
      return [assembly, kept];
    }),
  );
  const asked = new Set(Object.values(seats).flatMap((rows) => rows.map(([, , part]) => part)));
  const steps = new Set(operations.map(({ id }) => id));
  const undone = new Set(omit);
  const there = new Set(Object.values(seats).flatMap((rows) => rows.map(([id]) => id)));
  const without = (ids: readonly string[] | undefined) =>
    (ids ?? []).filter((id) => !undone.has(id) && (!id.startsWith(placing) || there.has(id.slice(placing.length))));
  const acts = new Set(batches.map(([id]) => id));
  return {
    ...table,
    assemblies: assemblies
      .reduce<AssemblyRow[]>((so, { after, row }) => so.toSpliced(so.findIndex(([id]) => id === after) + 1, 0, row), [...table.assemblies])
      .map(([id, name, side, more]): AssemblyRow => {
        const freed = freedBy[id];
        const shut = more?.shutBy?.filter((seat) => there.has(seat));
        return more || freed
          ? [id, name, side, { ...more, ...(freed ? { freedBy: freed } : {}), ...(shut ? { shutBy: shut } : {}) }]
          : [id, name, side];
      }),
    parts: [...table.parts.filter(([id]) => !replaced.has(id)), ...parts].filter(([id]) => asked.has(id)),
    seats,
    operations: [...table.operations.filter(({ id }) => !steps.has(id) && !undone.has(id)), ...operations].flatMap((operation) => {
      const after = without(operation.after);
      // A check of nothing is none.
      return operation.after?.length && !after.length ? [] : [{ ...operation, after, before: without(operation.before) }];
    }),
    batches: [...(table.batches ?? []).filter(([id]) => !acts.has(id)), ...batches],
    // Choices are made one after the other; each finds what is left of the table.
    variants: table.variants,
  };
}
