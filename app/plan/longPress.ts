/** Held so long without moving, a finger asks what it sees, ms. */
const LONG_MS = 600;
/** A finger that moved by less was held still, px. */
const STILL_PX = 8;

/**
 * Calls back when a finger, pen or mouse was held still on an element.
 * @param element where it is listened
 * @param free whether a press there may count: not where it takes hold of something
 * @param pressed what is called
 * @returns ends the listening
 */
export function whenPressedLong(
  element: HTMLElement,
  free: (event: PointerEvent) => boolean,
  pressed: () => void,
): () => void {
  const ends = new AbortController();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let from = { x: 0, y: 0 };
  const forget = () => clearTimeout(timer);
  const listen = (
    kind: 'pointerdown' | 'pointermove' | 'pointerup' | 'pointercancel',
    then: (event: PointerEvent) => void,
  ) =>
    // Before the plan's own listeners, which keep what they hear to themselves.
    element.addEventListener(kind, then, { signal: ends.signal, capture: true, passive: true });
  listen('pointerdown', (event) => {
    forget();
    if (event.button !== 0 || !free(event)) return;
    from = { x: event.clientX, y: event.clientY };
    timer = setTimeout(pressed, LONG_MS);
  });
  listen('pointermove', (event) => {
    if (Math.hypot(event.clientX - from.x, event.clientY - from.y) > STILL_PX) forget();
  });
  listen('pointerup', forget);
  listen('pointercancel', forget);
  return () => {
    forget();
    ends.abort();
  };
}
