import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Body } from './Words';

type Kind = 'caution' | 'trouble' | 'good' | 'plain';

const EDGE: Record<Kind, string> = {
  caution: 'border-straw',
  trouble: 'border-rust',
  good: 'border-moss',
  plain: 'border-pencil',
};

const SIGN: Record<Kind, string> = { caution: '!', trouble: '▲', good: '●', plain: '·' };

/** Something to be told: an edge in its colour and a sign in its shape. */
export function Notice({
  kind,
  children,
  live = false,
}: {
  kind: Kind;
  children: ReactNode;
  live?: boolean;
}) {
  return (
    <View
      role={live ? 'alert' : undefined}
      className={`flex-row gap-2 border-l-4 bg-sheet py-2 pl-3 pr-3 ${EDGE[kind]}`}
    >
      <Body aria-hidden className="font-bold">
        {SIGN[kind]}
      </Body>
      <View className="flex-1 gap-1">
        {typeof children === 'string' ? <Body>{children}</Body> : children}
      </View>
    </View>
  );
}
