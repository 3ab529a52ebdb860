import { DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors, type Announcements, type KeyboardCoordinateGetter } from '@dnd-kit/core';
import { useRef, type ReactNode } from 'react';

/** An hour by the arrows, a day by the page keys. */
const HOURS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, PageUp: 24, PageDown: -24 };

/** What is moved says where it is by its own value. */
const SILENT: Announcements = { onDragStart: () => undefined, onDragOver: () => undefined, onDragEnd: () => undefined, onDragCancel: () => undefined };

const HOW = 'Enter lifts it; the arrows move it by an hour, the page keys by a day; Enter sets it down, Escape lets it go.';

/** Jobs on a picture of time are lifted, moved and set down: by mouse, finger and keys. */
export function Lifting({ children }: { children: ReactNode }) {
  // Counted from where it was lifted: what is lifted moves with the keys, so where it is now is no measure.
  const lifted = useRef<{ from: { x: number; y: number } | null; hours: number }>({ from: null, hours: 0 });
  const byHours: KeyboardCoordinateGetter = (event, { context: { active }, currentCoordinates }) => {
    const hours = HOURS[event.code];
    if (hours === undefined) return undefined;
    event.preventDefault();
    const held = lifted.current;
    held.from ??= currentCoordinates;
    held.hours += hours;
    return { x: held.from.x + held.hours * Number(active?.data.current?.hourPx ?? 0), y: held.from.y };
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: byHours, scrollBehavior: 'auto' }),
  );
  return (
    <DndContext
      onDragStart={() => {
        lifted.current = { from: null, hours: 0 };
      }}
      sensors={sensors}
      autoScroll={false}
      accessibility={{ announcements: SILENT, screenReaderInstructions: { draggable: HOW } }}
    >
      {children}
    </DndContext>
  );
}
