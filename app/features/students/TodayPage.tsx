import { ScrollView, View } from 'react-native';
import { Title } from '../../ui/Words';
import { Today } from './Today';
import { messages } from './TodayPage.messages';

/** The wide screen's right side before anybody is picked. */
export function TodayPage() {
  return (
    <ScrollView
      className="flex-1 bg-paper"
      contentContainerClassName="p-6 pb-12"
      tabIndex={0}
      aria-label={messages.today}
    >
      <View role="main" className="w-full max-w-2xl gap-4">
        <Title>{messages.today}</Title>
        <Today most={null} />
      </View>
    </ScrollView>
  );
}
