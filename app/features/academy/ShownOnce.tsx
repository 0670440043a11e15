import type { ReactNode } from 'react';
import { View } from 'react-native';
import { common } from '../../domain/common.messages';
import { Button } from '../../ui/Button';
import { useCopied } from '../../ui/useCopied';
import { Notice } from '../../ui/Notice';
import { Body } from '../../ui/Words';

interface ShownOnceProps {
  /** What it is and what to do with it. */
  words: string;
  /** What is copied. */
  secret: string;
  copyWords: string;
  children: ReactNode;
}

/** A secret that is shown this once, with a way to copy it. */
export function ShownOnce({ words, secret, copyWords, children }: ShownOnceProps) {
  // Where the browser keeps its clipboard to itself, what is shown can be marked and copied by hand.
  const { copied, copy } = useCopied();
  return (
    <Notice kind="plain" live>
      <Body>{words}</Body>
      {children}
      <View className="flex-row pt-2">
        <Button words={copied ? common.copied : copyWords} onPress={() => void copy(secret)} />
      </View>
    </Notice>
  );
}
