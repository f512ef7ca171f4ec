'use client';
import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
  type DragEndEvent,
  type KeyboardSensorOptions,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { GripVertical } from 'lucide-react';
import type { CSSProperties, ReactNode } from 'react';

/** A press draws a thing only after so many px: until then it is a press. */
export const PULL = 6;

/** Space takes a thing up and lays it down, so that Enter stays a press; Escape puts it back. */
export const DRAWING_KEYS: Required<KeyboardSensorOptions>['keyboardCodes'] = {
  start: ['Space'],
  cancel: ['Escape'],
  end: ['Space', 'Enter'],
};

interface Props {
  /** What a row is called, for those who hear the page. */
  readonly nameOf: (id: string) => string;
  readonly onMove: (id: string, to: string) => void;
  readonly children: ReactNode;
}

/** Lists whose rows are brought into another order by hand, or by keyboard: Space, arrows, Space. */
export function Sortable({ nameOf, onMove, children }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: PULL } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates, keyboardCodes: DRAWING_KEYS }),
  );
  const end = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(String(active.id), String(over.id));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={end}
      accessibility={{ announcements: announcementsOf(nameOf), screenReaderInstructions: INSTRUCTIONS }}
    >
      {children}
    </DndContext>
  );
}

/** Rows of one list, from the top. */
export function SortedRows({ ids, children }: { readonly ids: readonly string[]; readonly children: ReactNode }) {
  return (
    <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
      {children}
    </SortableContext>
  );
}

/**
 * What a row of a list needs to be drawn: where it is, and what it is drawn by.
 * @param isHeld it stays where it is
 */
export function useSortedRow(id: string, isHeld = false) {
  const { setNodeRef, listeners, attributes, transform, transition, isDragging } = useSortable({
    id,
    disabled: isHeld,
  });
  const style: CSSProperties = {
    transition: transition ?? undefined,
    ...(transform && { transform: `translate3d(0, ${Math.round(transform.y)}px, 0)` }),
    ...(isDragging && { opacity: 0.6 }),
  };
  // A row is a button already.
  const { 'aria-describedby': describedBy } = attributes;
  return { ref: setNodeRef, style, handle: { ...listeners, 'aria-describedby': describedBy } };
}

/** A row of fields, drawn by a grip in the margin beside it. */
function GripRow({ id, name, children }: { readonly id: string; readonly name: string; readonly children: ReactNode }) {
  const { ref, style, handle } = useSortedRow(id);
  return (
    <Box ref={ref} style={style} sx={{ position: 'relative' }}>
      <ButtonBase
        {...handle}
        aria-label={`Order of ${name}`}
        sx={{ position: 'absolute', left: -20, top: 2, width: 18, height: 24, cursor: 'grab', touchAction: 'none' }}
      >
        <GripVertical size={14} aria-hidden />
      </ButtonBase>
      {children}
    </Box>
  );
}

interface RecordsProps<R> {
  readonly records: readonly R[];
  /** @param name of the one that is moved */
  readonly onMove: (id: string, to: string, name: string) => void;
  readonly children: (record: R) => ReactNode;
}

/** Rows of fields, one for each record, in the order that somebody gives them. */
export function SortedRecords<R extends { readonly id: string; readonly name: string }>({
  records,
  onMove,
  children,
}: RecordsProps<R>) {
  const nameOf = (id: string) => records.find((r) => r.id === id)?.name ?? '';
  return (
    <Sortable nameOf={nameOf} onMove={(id, to) => onMove(id, to, nameOf(id))}>
      <SortedRows ids={records.map(({ id }) => id)}>
        {records.map((record) => (
          <GripRow key={record.id} id={record.id} name={record.name}>
            {children(record)}
          </GripRow>
        ))}
      </SortedRows>
    </Sortable>
  );
}

/** What is said of drawing to those who hear the page. */
export const INSTRUCTIONS = {
  draggable: 'Press Space to take it up, arrows to move it, Space to lay it down, Escape to leave it where it was.',
};

/** What is told of a thing that is drawn, to those who hear the page. */
export const announcementsOf = (nameOf: (id: string) => string) => {
  const called = (thing: { readonly id: string | number } | null) => (thing ? nameOf(String(thing.id)) : '');
  return {
    onDragStart: ({ active }: Pick<DragEndEvent, 'active'>) => `${called(active)} is taken up.`,
    onDragOver: ({ active, over }: Pick<DragEndEvent, 'active' | 'over'>) =>
      over ? `${called(active)} is at the place of ${called(over)}.` : `${called(active)} is nowhere.`,
    onDragEnd: ({ active, over }: Pick<DragEndEvent, 'active' | 'over'>) =>
      over ? `${called(active)} lies at the place of ${called(over)}.` : `${called(active)} stays.`,
    onDragCancel: ({ active }: Pick<DragEndEvent, 'active'>) => `${called(active)} stays where it was.`,
  };
};
