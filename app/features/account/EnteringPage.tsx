import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Title } from '../../ui/Words';

/** A page for somebody who is signed in nowhere yet. */
export function EnteringPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <ScrollView className="bg-paper" contentContainerClassName="p-5 pb-12" tabIndex={0} aria-label={title}>
      <View role="main" className="w-full max-w-sm gap-5 self-center">
        <Title>{title}</Title>
        {children}
      </View>
    </ScrollView>
  );
}
