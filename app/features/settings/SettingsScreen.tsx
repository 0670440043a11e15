import type { FootWords } from '@pedastance/core/phrases';
import type { LengthUnit } from '@pedastance/core/units';
import { router } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { signOut, useAccount } from '../../state/account';
import { useDrafts } from '../../state/drafts';
import { useOutbox } from '../../state/outbox';
import { prefer, usePreferences, type Light } from '../../state/preferences';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Body, Heading, Quiet } from '../../ui/Words';
import type { Viewpoint } from '../../plan/frame';

const LENGTHS: { value: LengthUnit; words: string }[] = [
  { value: 'cm', words: 'Centimetres' },
  { value: 'inches', words: 'Inches' },
];
const FEET: { value: FootWords; words: string }[] = [
  { value: 'lead and trail', words: 'Lead and trail' },
  { value: 'left and right', words: 'Left and right' },
];
const VIEWS: { value: Viewpoint; words: string }[] = [
  { value: 'coach', words: 'Coach, facing the student' },
  { value: 'student', words: 'Student, looking down' },
];
const LIGHTS: { value: Light; words: string }[] = [
  { value: 'paper', words: 'Paper' },
  { value: 'dusk', words: 'Dusk' },
  { value: 'as the device', words: 'As the device' },
];

/** Signing out never loses anything: what is not sent, and lessons in progress, stay for their owner. */
function SignOut() {
  const identity = useAccount((state) => state.identity);
  const unsent = useOutbox((state) => state.queue.length);
  const drafts = useDrafts((state) => Object.keys(state.drafts).length);
  const [warned, setWarned] = useState(false);
  const keeps = unsent + drafts > 0;

  if (warned) {
    return (
      <Notice kind="caution" live>
        <Body className="font-semibold">
          {[
            unsent > 0 && `${unsent} not sent yet`,
            drafts > 0 && `${drafts} lesson${drafts > 1 ? 's' : ''} in progress`,
          ]
            .filter(Boolean)
            .join(', ')}
        </Body>
        <Body>
          {`They stay on this device, sealed so that only ${identity?.instructorName} can open them, and go on when ${identity?.instructorName} signs in here again. Clearing the browser’s data before then would lose them.`}
        </Body>
        <View className="flex-row flex-wrap gap-3 pt-2">
          <Button words="Stay signed in" onPress={() => setWarned(false)} />
          <Button look="plain" words="Sign out, keep them here" onPress={() => void signOut()} />
        </View>
      </Notice>
    );
  }
  return <Button look="plain" words="Sign out" onPress={() => (keeps ? setWarned(true) : void signOut())} />;
}

export function SettingsScreen() {
  const identity = useAccount((state) => state.identity);
  const preferences = usePreferences();
  return (
    <Page title="Settings">
      <Choice
        label="Lengths"
        options={LENGTHS}
        value={preferences.length}
        onChange={(length) => prefer({ length })}
      />
      <Choice
        label="Say feet as"
        options={FEET}
        value={preferences.feet}
        onChange={(feet) => prefer({ feet })}
      />
      <Choice
        label="Draw the plan as seen by"
        options={VIEWS}
        value={preferences.viewpoint}
        onChange={(viewpoint) => prefer({ viewpoint })}
      />
      <Choice
        label="Light"
        options={LIGHTS}
        value={preferences.light}
        onChange={(light) => prefer({ light })}
      />
      <View className="gap-2 pt-4">
        <Heading>Signed in</Heading>
        <Body>{identity ? `${identity.instructorName}, ${identity.academyName}` : ''}</Body>
        <SignOut />
      </View>
      <Button look="quiet" words="What is not sent yet" onPress={() => router.push('/outbox')} />
      <Quiet>Coaching support, not medical advice. Every ± is one standard deviation.</Quiet>
    </Page>
  );
}
