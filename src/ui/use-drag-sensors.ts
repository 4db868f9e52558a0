'use client';

import { type KeyboardCodes, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';

/** Enter picks up and lays down, on a block of numbers too; Escape lets it be. */
const CODES: KeyboardCodes = {
  start: ['Enter', 'NumpadEnter', 'Space'],
  cancel: ['Escape'],
  end: ['Enter', 'NumpadEnter', 'Space', 'Tab'],
};

/**
 * Dragging by pointer and by the arrow keys. `stepOf` gives the way of one press in pixels, x to the right and y down, or
 * undefined for a key that moves nothing.
 */
export function useDragSensors(stepOf: (code: string) => readonly [x: number, y: number] | undefined) {
  return useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, {
      keyboardCodes: CODES,
      coordinateGetter: (event, { currentCoordinates: { x, y } }) => {
        const by = stepOf(event.code);
        if (by === undefined) return undefined;
        event.preventDefault();
        return { x: x + by[0], y: y + by[1] };
      },
    }),
  );
}
