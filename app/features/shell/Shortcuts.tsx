import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/Button';
import { Body, Heading } from '../../ui/Words';
import { common } from '../../domain/common.messages';
import { messages } from './Shortcuts.messages';

const KEYS: readonly [string, string][] = [
  ['?', 'this list'],
  ['t, l, b', 'on the plan: choose the trail foot, the lead foot, the ball'],
  ['arrow keys', 'move what is chosen by 5 mm; with Shift by 1 mm'],
  ['[ and ]', 'turn the chosen foot in and out by 1°'],
  ['u', 'take the last move back'],
  ['/', 'search the students'],
];

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA'].includes(target.tagName));

/** "?" lists the keys. */
export function Shortcuts() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.key === 'Escape') setOpen(false);
      if (event.key === '?' && !typing(event.target)) setOpen((shown) => !shown);
    };
    addEventListener('keydown', pressed);
    return () => removeEventListener('keydown', pressed);
  }, []);
  if (!open) return null;
  return (
    <View className="absolute inset-0 items-center justify-center bg-ink/60 p-4">
      <View
        role="dialog"
        aria-label={messages.keyboard}
        className="w-full max-w-md gap-3 rounded-md bg-paper p-5"
      >
        <Heading>{messages.keyboard}</Heading>
        {KEYS.map(([keys, what]) => (
          <View key={keys} className="flex-row gap-3">
            <Body className="w-24 font-semibold">{keys}</Body>
            <Body className="flex-1">{what}</Body>
          </View>
        ))}
        <Button words={common.close} onPress={() => setOpen(false)} />
      </View>
    </View>
  );
}
