import type { Student } from '@pedastance/contract';
import { useState } from 'react';
import type { Trial } from '../../../domain/trials';
import { takeBack } from '../../../state/writes/trial';
import { Button } from '../../../ui/Button';
import { Body } from '../../../ui/Words';
import { common } from '../../../domain/common.messages';
import { messages } from './TakeBack.messages';

/** Takes the last shot of a trial back. */
export function TakeBack({
  student,
  trial,
  disabled,
}: {
  student: Student;
  trial: Trial;
  disabled: boolean;
}) {
  const [fault, setFault] = useState('');
  const take = async () => {
    try {
      await takeBack(student, trial);
      setFault('');
    } catch (error) {
      setFault(messages.notTakenBackThisDevice((error as Error).message));
    }
  };
  return (
    <>
      {fault !== '' && (
        <Body role="alert" tone="rust">
          {`▲ ${fault}`}
        </Body>
      )}
      <Button
        look="plain"
        words={common.undo}
        label={common.takeTheLastShotBack}
        disabled={disabled}
        onPress={() => void take()}
      />
    </>
  );
}
