import type { AddressEntry, Student } from '@pedastance/contract';
import type { Shot } from '@pedastance/core/trial';
import { useState } from 'react';
import { View } from 'react-native';
import { GroundSays, ShotsSoFar } from '../../cards/ShotsSoFar';
import { TypedRowFields } from '../../cards/TypedRowFields';
import { useUnits } from '../../state/useSpeech';
import { keepTypedShot, takeShotBack } from '../../state/writes/shots';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { common } from '../../domain/common.messages';
import { messages } from './TypeIn.messages';

const somethingSeen = (shot: Shot): boolean => Object.keys(shot).length > 1;

interface TypeInProps {
  student: Student;
  address: AddressEntry;
  onDone: (words: string) => void;
}

/** Shots typed in, a row a shot, each kept at once. */
export function TypeIn({ student, address, onDone }: TypeInProps) {
  const units = useUnits();
  const [kept, setKept] = useState<readonly { id: string; shot: Shot }[]>([]);
  const [fault, setFault] = useState('');
  const named = kept.map(({ shot }) => ({ name: '', shot }));
  const undo = async () => {
    const last = kept.at(-1);
    if (!last) return;
    try {
      await takeShotBack(student, address, last.id);
      setKept(kept.slice(0, -1));
      setFault('');
    } catch (error) {
      setFault(messages.notTakenBackThisDevice((error as Error).message));
    }
  };
  return (
    <View className="gap-3">
      <TypedRowFields
        hand={student.hand}
        needed={[]}
        words={messages.keepTheShot}
        enough={somethingSeen}
        onShot={async (shot) => {
          const id = await keepTypedShot(student, address, shot);
          setKept((before) => [...before, { id, shot }]);
        }}
      />
      <ShotsSoFar shots={named} hand={student.hand} units={units} />
      <GroundSays club={address.club} shots={named} units={units} />
      {fault !== '' && (
        <Notice kind="trouble" live>
          {fault}
        </Notice>
      )}
      <View className="flex-row flex-wrap gap-3">
        <Button
          look="plain"
          words={messages.done}
          disabled={kept.length === 0}
          onPress={() => onDone(messages.kept(kept.length))}
        />
        <Button
          look="plain"
          words={common.undo}
          label={common.takeTheLastShotBack}
          disabled={kept.length === 0}
          onPress={() => void undo()}
        />
      </View>
    </View>
  );
}
