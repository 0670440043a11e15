import type { FootWords } from '@pedastance/core/phrases';
import type { DistanceUnit, LengthUnit, SpeedUnit } from '@pedastance/core/units';
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
import { messages } from './SettingsScreen.messages';

const LENGTHS: { value: LengthUnit; words: string }[] = [
  { value: 'cm', words: messages.centimetres },
  { value: 'inches', words: messages.inches },
];
const DISTANCES: { value: DistanceUnit; words: string }[] = [
  { value: 'metres', words: messages.metres },
  { value: 'yards', words: messages.yards },
];
const SPEEDS: { value: SpeedUnit; words: string }[] = [
  { value: 'metres a second', words: 'm/s' },
  { value: 'miles an hour', words: messages.mph },
  { value: 'kilometres an hour', words: messages.kmH },
];
const FEET: { value: FootWords; words: string }[] = [
  { value: 'lead and trail', words: messages.leadAndTrail },
  { value: 'left and right', words: messages.leftAndRight },
];
const VIEWS: { value: Viewpoint; words: string }[] = [
  { value: 'coach', words: messages.coachFacingTheStudent },
  { value: 'student', words: messages.studentLookingDown },
];
const LIGHTS: { value: Light; words: string }[] = [
  { value: 'paper', words: messages.paper },
  { value: 'dusk', words: messages.dusk },
  { value: 'as the device', words: messages.asTheDevice },
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
          {[unsent > 0 && messages.notSentYet(unsent), drafts > 0 && messages.lessonsInProgress(drafts)]
            .filter(Boolean)
            .join(', ')}
        </Body>
        <Body>{messages.theyStayOnThisDevice(identity?.instructorName ?? '')}</Body>
        <View className="flex-row flex-wrap gap-3 pt-2">
          <Button words={messages.staySignedIn} onPress={() => setWarned(false)} />
          <Button look="plain" words={messages.signOutKeepThemHere} onPress={() => void signOut()} />
        </View>
      </Notice>
    );
  }
  return (
    <Button
      look="plain"
      words={messages.signOut}
      onPress={() => (keeps ? setWarned(true) : void signOut())}
    />
  );
}

export function SettingsScreen() {
  const identity = useAccount((state) => state.identity);
  const preferences = usePreferences();
  return (
    <Page title={messages.settings}>
      <Choice
        label={messages.lengthsOnTheGround}
        options={LENGTHS}
        value={preferences.length}
        onChange={(length) => prefer({ length })}
      />
      <Choice
        label={messages.howFarTheBallFlew}
        options={DISTANCES}
        value={preferences.distance}
        onChange={(distance) => prefer({ distance })}
      />
      <Choice
        label={messages.speeds}
        options={SPEEDS}
        value={preferences.speed}
        onChange={(speed) => prefer({ speed })}
      />
      <Choice
        label={messages.sayFeet}
        options={FEET}
        value={preferences.feet}
        onChange={(feet) => prefer({ feet })}
      />
      <Choice
        label={messages.drawThePlanAsSeen}
        options={VIEWS}
        value={preferences.viewpoint}
        onChange={(viewpoint) => prefer({ viewpoint })}
      />
      <Choice
        label={messages.light}
        options={LIGHTS}
        value={preferences.light}
        onChange={(light) => prefer({ light })}
      />
      <View className="gap-2 pt-4">
        <Heading>{messages.signedIn}</Heading>
        <Body>{identity ? `${identity.instructorName}, ${identity.academyName}` : ''}</Body>
        <Button look="plain" words={messages.academyAndKeys} onPress={() => router.push('/academy')} />
        <SignOut />
      </View>
      <Button look="quiet" words={messages.whatIsNotSentYet} onPress={() => router.push('/outbox')} />
      <Quiet>{messages.coachingSupportNotMedicalAdvice}</Quiet>
    </Page>
  );
}
