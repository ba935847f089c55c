import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { memo, type ReactNode, useMemo } from "react";
import { LineRow, type LineRowProps } from "./LineRow";

/** A short way is a click, not a drag. Kept outside: new options would make every row draw again. */
const POINTER = { activationConstraint: { distance: 4 } };
const KEYBOARD = { coordinateGetter: sortableKeyboardCoordinates };

interface DragLinesProps {
  /** Ids of the lines in their order, joined by commas. */
  readonly ids: string;
  /** A line was dropped where another stands. */
  readonly onDrop: (lineId: string, overLineId: string) => void;
  readonly children: ReactNode;
}

/** Lets lines be dragged by their grips, with the hand or with keys. */
export function DragLines({ ids, onDrop, children }: DragLinesProps) {
  const sensors = useSensors(useSensor(PointerSensor, POINTER), useSensor(KeyboardSensor, KEYBOARD));
  const items = useMemo(() => (ids === "" ? [] : ids.split(",")), [ids]);
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over !== null && over.id !== active.id) onDrop(String(active.id), String(over.id));
  };
  return (
    <DndContext id="lines" sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={items} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  );
}

/** A line that can be dragged. */
export const DraggableLineRow = memo(function DraggableLineRow(props: LineRowProps) {
  const { setNodeRef, setActivatorNodeRef, transform, transition, isDragging, attributes, listeners } = useSortable({ id: props.line.id });
  return (
    <LineRow
      {...props}
      drag={{
        rowRef: setNodeRef,
        gripRef: setActivatorNodeRef,
        style: { transform: CSS.Translate.toString(transform), transition },
        isDragging,
        grip: { ...attributes, ...listeners },
      }}
    />
  );
});
