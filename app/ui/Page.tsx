import { router } from 'expo-router';
import ArrowLeftIcon from 'lucide-react-native/icons/arrow-left';
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { IconButton } from './Button';
import { INK } from './colours';
import { Title } from './Words';

/** Back to a place that is always the same, wherever one came from. */
export const BackTo = ({ label, href }: { label: string; href: string }) => (
  <IconButton
    label={label}
    icon={<ArrowLeftIcon color={INK} size={22} />}
    onPress={() => router.push(href as never)}
  />
);

/** A screen of its own beside the students: a title with the way back, and what it holds. */
export function Page({ title, children }: { title: string; children: ReactNode }) {
  return (
    <ScrollView
      className="flex-1 bg-paper"
      contentContainerClassName="p-4 pb-12"
      tabIndex={0}
      aria-label={title}
    >
      <View role="main" className="w-full max-w-xl gap-5 self-center">
        <View className="flex-row items-center gap-1">
          <BackTo label="Back to the students" href="/students" />
          <Title>{title}</Title>
        </View>
        {children}
      </View>
    </ScrollView>
  );
}
