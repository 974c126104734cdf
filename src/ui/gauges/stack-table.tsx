import { members } from "@/core/anatomy/types";
import type { DragElement, Gap, stackFault } from "@/core/drag/capacity";

/** A ring of the stack as it is typed. */
export interface StackRow {
  readonly id: number;
  readonly name: string;
  readonly member: DragElement["member"];
  readonly outside: string;
  readonly inside: string;
  /** Empty for a metal ring. */
  readonly mu: string;
}

const memberWords: Record<DragElement["member"], string> = {
  none: "loose",
  frame: "frame",
  gear: "gear",
  sleeve: "sleeve",
  spool: "spool",
  handle: "handle",
};

interface Props {
  readonly rows: readonly StackRow[];
  /** Where it slips, once it can be computed. */
  readonly gaps: readonly Gap[];
  readonly fault: ReturnType<typeof stackFault>;
  readonly onChange: (id: number, edit: Partial<StackRow>) => void;
}

/** The rings of a drag stack from the base up, typed; beside each whether it slips. */
export function StackTable({ rows, gaps, fault, onChange }: Props) {
  return (
    <table className="plain-table">
      <thead>
        <tr>
          <th>Ring</th>
          <th>Turns with</th>
          <th>Outside, mm</th>
          <th>Hole, mm</th>
          <th>Coefficient</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => {
          const slips = gaps.some(({ slipsAbove }) => slipsAbove === i);
          const cell = (key: "outside" | "inside" | "mu", label: string) => (
            <input
              aria-label={`${row.name}, ${label}`}
              aria-invalid={fault?.at === i && fault.field === (key === "mu" ? "mu" : `${key}Mm`)}
              className="num min-h-9 w-20"
              inputMode="decimal"
              value={row[key]}
              onChange={(event) => onChange(row.id, { [key]: event.target.value })}
            />
          );
          return (
            <tr key={row.id}>
              <td>
                {row.name}
                {slips && <span className="block text-note">slips on its upper face</span>}
              </td>
              <td>
                <select
                  aria-label={`${row.name}, turns with`}
                  className="min-h-9"
                  value={row.member}
                  onChange={(event) => onChange(row.id, { member: event.target.value as StackRow["member"] })}
                >
                  {members.map((member) => (
                    <option key={member} value={member}>
                      {memberWords[member]}
                    </option>
                  ))}
                </select>
              </td>
              <td>{cell("outside", "outside")}</td>
              <td>{cell("inside", "hole")}</td>
              <td>{cell("mu", "coefficient; empty for metal")}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
