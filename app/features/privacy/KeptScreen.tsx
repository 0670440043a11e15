import { View } from 'react-native';
import { Page } from '../../ui/Page';
import { Body, Heading } from '../../ui/Words';
import { messages } from './KeptScreen.messages';

/** What is kept of whom, where, and how long. */
export function KeptScreen() {
  return (
    <Page title={messages.title}>
      {messages.parts.map(({ heading, lines }) => (
        <View key={heading} className="gap-1">
          <Heading>{heading}</Heading>
          {lines.map((line) => (
            <Body key={line}>{line}</Body>
          ))}
        </View>
      ))}
    </Page>
  );
}
