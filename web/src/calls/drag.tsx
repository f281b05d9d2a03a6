import {
  DndContext,
  DragOverlay,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useEffect, useId, useState, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import type { CallView } from '../api/types';
import { notify } from '../notices/store';
import { type DropTarget, dropEffect } from './dropEffect';
import { nameOf } from './order';
import { attempt } from '../notices/attempt';

/** Where calls can be dragged onto people, park slots and other calls, seeing what will happen. */
export function DragBoard({ children }: { children: ReactNode }) {
  const { t } = useTranslation();
  const [dragged, setDragged] = useState<CallView>();
  const [over, setOver] = useState<DropTarget>();
  const shift = useShift(dragged !== undefined);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 300, tolerance: 6 } }),
  );
  const effect = dragged && over && dropEffect(dragged, over, shift, t);

  function dropped(event: DragEndEvent) {
    setDragged(undefined);
    setOver(undefined);
    const target = event.over?.data.current as DropTarget | undefined;
    const call = event.active.data.current as CallView;
    const wanted = target && dropEffect(call, target, shift, t);
    if (wanted?.run) {
      const { run, done, undo } = wanted;
      void attempt(
        run().then(() => {
          if (done) {
            notify('done', { sentence: done }, undo && (() => void attempt(undo())));
          }
        }),
      );
    }
  }

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      accessibility={{ announcements: SILENT }}
      onDragStart={(event) => setDragged(event.active.data.current as CallView)}
      onDragOver={(event) => setOver(event.over?.data.current as DropTarget | undefined)}
      onDragCancel={() => setDragged(undefined)}
      onDragEnd={dropped}
    >
      {children}
      <DragOverlay dropAnimation={null}>
        {dragged && (
          <div
            className={`w-max max-w-80 rounded-lg border-2 px-3 py-2 shadow-lg ${effect && !effect.run ? 'border-error bg-base-100' : 'border-primary bg-base-100'}`}
          >
            <p className="font-bold">
              {effect ? effect.words : nameOf(dragged.other, t('party.withheld'))}
            </p>
            <p className="quiet text-sm">{effect ? (effect.hint ?? '') : t('drop.where')}</p>
          </div>
        )}
      </DragOverlay>
    </DndContext>
  );
}

/** The preview says it; dnd-kit's own sentences would speak of items and identities. */
const SILENT = {
  onDragStart: () => undefined,
  onDragOver: () => undefined,
  onDragEnd: () => undefined,
  onDragCancel: () => undefined,
};

/** Whether the shift key is down, watched while something is dragged. */
function useShift(watch: boolean): boolean {
  const [down, setDown] = useState(false);
  useEffect(() => {
    if (!watch) {
      return undefined;
    }
    const pressed = (event: KeyboardEvent | MouseEvent) => setDown(event.shiftKey);
    window.addEventListener('keydown', pressed);
    window.addEventListener('keyup', pressed);
    window.addEventListener('mousemove', pressed);
    return () => {
      window.removeEventListener('keydown', pressed);
      window.removeEventListener('keyup', pressed);
      window.removeEventListener('mousemove', pressed);
    };
  }, [watch]);
  return down;
}

/** Makes a call's strip something to drag. By keyboard, Transfer and Park do the same. */
export function useCallDrag(call: CallView) {
  const id = useId();
  const { listeners, setNodeRef } = useDraggable({ id: `${id}-${call.id}`, data: call });
  const start = (name: string) => (event: { target: EventTarget }) => {
    const field =
      event.target instanceof Element && event.target.closest('input, select, textarea');
    if (!field) {
      listeners?.[name]?.(event);
    }
  };
  return {
    setNode: setNodeRef,
    handlers: { onMouseDown: start('onMouseDown'), onTouchStart: start('onTouchStart') },
  };
}

/** Makes something a place to drop calls on. */
export function useDrop(target: DropTarget) {
  const id = useId();
  const { setNodeRef, isOver } = useDroppable({ id, data: target });
  return { setNode: setNodeRef, over: isOver };
}
