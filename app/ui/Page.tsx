import { router } from 'expo-router';
import ArrowLeftIcon from 'lucide-react-native/icons/arrow-left';
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { IconButton } from './Button';
import { INK } from './colours';
import { Quiet, Title } from './Words';
import { common } from '../domain/common.messages';
import { messages } from './Page.messages';

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
          <BackTo label={messages.backToTheStudents} href="/students" />
          <Title>{title}</Title>
        </View>
        {children}
      </View>
    </ScrollView>
  );
}

interface StudentPageProps {
  student: { id: string; name: string };
  /** What a screen reader calls the page. */
  label: string;
  title: string;
  /** In small letters under the title. */
  under: string;
  children: ReactNode;
}

/** A page about something of one student's, with the way back to the student. */
export function StudentPage({ student, label, title, under, children }: StudentPageProps) {
  return (
    <ScrollView
      className="flex-1 bg-paper"
      contentContainerClassName="p-4 pb-12"
      tabIndex={0}
      aria-label={label}
    >
      <View role="main" className="gap-4">
        <View className="flex-row items-start gap-1">
          <BackTo label={common.backTo(student.name)} href={`/students/${student.id}`} />
          <View className="flex-1">
            <Title>{title}</Title>
            <Quiet>{under}</Quiet>
          </View>
        </View>
        {children}
      </View>
    </ScrollView>
  );
}
