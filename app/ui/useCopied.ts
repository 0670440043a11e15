import { useState } from 'react';

/** Puts text on the clipboard, and says once it is there; a browser may keep its clipboard to itself. */
export function useCopied() {
  const [copied, setCopied] = useState(false);
  const copy = (text: string): Promise<void> =>
    navigator.clipboard.writeText(text).then(
      () => setCopied(true),
      () => undefined,
    );
  return { copied, copy };
}
