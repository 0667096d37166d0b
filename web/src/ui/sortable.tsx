import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core'
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { GripVertical } from 'lucide-react'
import type { ReactNode } from 'react'

interface ListProps {
  readonly ids: readonly string[]
  /** `to` is the place in the list after the move, counted from 0. */
  readonly onMove: (from: number, to: number) => void
  readonly label: string
  readonly children: ReactNode
}

/** A list whose rows are put in order by dragging, or with Space and the arrow keys on their handle. */
export const SortableList = ({ ids, onMove, label, children }: ListProps) => {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const drop = ({ active, over }: DragEndEvent): void => {
    const from = ids.indexOf(String(active.id))
    const to = ids.indexOf(String(over?.id ?? ''))
    if (from !== to && from !== -1 && to !== -1) onMove(from, to)
  }
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        <ol aria-label={label}>{children}</ol>
      </SortableContext>
    </DndContext>
  )
}

interface RowProps {
  readonly id: string
  readonly name: string
  readonly className?: string
  readonly children: ReactNode
}

export const SortableRow = ({ id, name, className = '', children }: RowProps) => {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id })
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center gap-1 ${isDragging ? 'relative z-10 bg-panel' : ''} ${className}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move ${name}`}
        className="flex min-h-11 w-8 shrink-0 cursor-grab touch-none items-center justify-center text-quiet"
      >
        <GripVertical size={18} aria-hidden />
      </button>
      {children}
    </li>
  )
}
