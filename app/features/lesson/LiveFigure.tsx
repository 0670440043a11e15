import type { BandVerdict } from '@pedastance/core/method';
import { useEffect, useRef } from 'react';
import { Text, type TextProps } from 'react-native';
import { lesson } from '../../state/lesson';

export interface Figure {
  text: string;
  verdict?: BandVerdict | null;
  /** It only stands as it is drawn, and was not measured. */
  faint?: boolean;
}

const COLOURS: Record<BandVerdict, string> = {
  below: 'rgb(var(--rust))',
  above: 'rgb(var(--rust))',
  in: 'rgb(var(--moss))',
};

const FAINT = 'rgb(var(--pencil))';

/** While a shoe is dragged figures change this often: as fast as they can be read, and no faster. */
const READABLE_MS = 100;

const shows = new Set<() => void>();
let shownAt = 0;
let waiting: ReturnType<typeof setTimeout> | undefined;

function showAll(): void {
  clearTimeout(waiting);
  waiting = undefined;
  shownAt = performance.now();
  for (const show of shows) show();
}

lesson.subscribe(({ dragging }) => {
  const since = performance.now() - shownAt;
  if (!dragging || since >= READABLE_MS) showAll();
  // A later move would show them; this timer is for a finger that stops.
  else waiting ??= setTimeout(showAll, 2 * READABLE_MS);
});

/**
 * A figure that follows the feet. Its words are set on the element itself when they change, so
 * that a shoe under the finger renders nothing.
 */
export function LiveFigure({ figure, ...text }: { figure: () => Figure } & TextProps) {
  const element = useRef<Text>(null);
  useEffect(() => {
    const node = element.current as unknown as HTMLElement | null;
    let shown: string | undefined;
    let colour: string | undefined;
    const show = () => {
      if (!node) return;
      const next = figure();
      if (next.text !== shown) node.textContent = next.text;
      shown = next.text;
      const wanted = next.verdict ? COLOURS[next.verdict] : next.faint ? FAINT : '';
      if (wanted !== colour) node.style.color = wanted;
      colour = wanted;
    };
    show();
    shows.add(show);
    return () => void shows.delete(show);
  }, [figure]);
  return <Text ref={element} {...text} />;
}
