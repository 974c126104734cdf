"use client";
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { horizontalListSortingStrategy, SortableContext, sortableKeyboardCoordinates, useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import type { PartType, Position } from "@/core/anatomy/types";
import { Glyph } from "@/ui/glyphs/glyph";

interface Props {
  /** The seats of one assembly, base first. */
  readonly row: readonly Position[];
  readonly types: ReadonlyMap<string, PartType>;
  readonly picked: string | null;
  readonly onPick: (seatId: string) => void;
  readonly onMove: (seatId: string, to: number) => void;
}

/** The axis of an assembly as a row of parts, base at the left: drag one along it, or lift it with the space bar and move it with the arrows. */
export function AxisList({ row, types, picked, onPick, onMove }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = row.map((seat) => seat.id);
  const name = (id: string | number) => row.find((seat) => seat.id === id)?.name ?? "";
  return (
    <DndContext
      id="axis"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => over && active.id !== over.id && onMove(String(active.id), ids.indexOf(String(over.id)))}
      accessibility={{
        screenReaderInstructions: {
          draggable: "Space lifts the part, the arrow keys move it along the axis, space sets it down, escape leaves it where it was.",
        },
        announcements: {
          onDragStart: ({ active }) => `${name(active.id)} lifted, place ${ids.indexOf(String(active.id)) + 1} of ${ids.length}.`,
          onDragOver: ({ active, over }) => (over ? `${name(active.id)} over place ${ids.indexOf(String(over.id)) + 1}.` : undefined),
          onDragEnd: ({ active, over }) => (over ? `${name(active.id)} set down at place ${ids.indexOf(String(over.id)) + 1}.` : undefined),
          onDragCancel: ({ active }) => `${name(active.id)} left where it was.`,
        },
      }}
    >
      <SortableContext items={ids} strategy={horizontalListSortingStrategy}>
        <ol aria-label="Order along the axis, base first" className="flex gap-1 overflow-x-auto pb-2">
          {row.map((seat) => (
            <AxisItem key={seat.id} seat={seat} type={types.get(seat.partTypeId)} picked={seat.id === picked} onPick={onPick} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function AxisItem({
  seat,
  type,
  picked,
  onPick,
}: {
  seat: Position;
  type: PartType | undefined;
  picked: boolean;
  onPick: (id: string) => void;
}) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useSortable({ id: seat.id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), zIndex: isDragging ? 1 : undefined }}
      className={`flex w-16 shrink-0 flex-col border bg-sheet ${picked ? "border-2 border-ink" : "border-ink"} ${seat.guessed ? "border-dashed" : ""}`}
    >
      <button
        type="button"
        className="cursor-pointer"
        onClick={() => onPick(seat.id)}
        aria-pressed={picked}
        aria-label={`Look at ${seat.name}`}
      >
        {type && <Glyph type={type} turned={seat.turned} widthPx={60} heightPx={40} />}
      </button>
      <button
        type="button"
        className="min-h-6 cursor-grab touch-none border-t border-ink text-note font-semibold text-brass"
        {...attributes}
        {...listeners}
        aria-label={`Move ${seat.name} along the axis`}
      >
        ◂ ▸
      </button>
    </li>
  );
}
